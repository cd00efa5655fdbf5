import { takenKind } from '../taken';

export const voice = takenKind('voice', { label: 'Voice', minutes: 2, one: 'a recording', many: 'recordings' });
