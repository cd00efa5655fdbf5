import { DeskActions } from './actions';
import { edit, type Edit, put } from './edit';

/** What is done at the desk. */
export const DESK_EDITS: ReadonlyMap<string, Edit> = new Map([
  edit(DeskActions.copySaved, { run: (doc, { copy }) => put(doc, 'copies', copy) }),
  edit(DeskActions.comfortSaved, {
    run: (doc, { learnerId, comfort }) => put(doc, 'comforts', { id: learnerId, comfort }),
  }),
  edit(DeskActions.mediaKept, { run: (doc, { asset }) => put(doc, 'assets', asset) }),
]);
