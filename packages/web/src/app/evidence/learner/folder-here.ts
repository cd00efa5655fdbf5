import { computed, inject } from '@angular/core';
import { emptyFolder, type Folder, type FolderNote, MOST_FOLDER_NOTES, noteKey } from '@lorvet/core/evidence';
import { Clock } from '../../platform/clock';
import { EvidenceActions } from '../../store/actions';
import { Parts } from '../../store/parts';
import { WorkspaceStore } from '../../store/workspace';

/** What the teacher adds to a learner's evidence. To be made where something is injected. */
export class FolderHere {
  private readonly work = inject(WorkspaceStore);
  private readonly clock = inject(Clock);
  readonly ready;
  readonly folder = computed((): Folder => {
    const all = this.work.folders();
    return (Object.hasOwn(all, this.id()) ? all[this.id()] : undefined) ?? emptyFolder(this.id());
  });
  readonly isFull = computed(() => this.folder().notes.length >= MOST_FOLDER_NOTES);

  constructor(private readonly id: () => string) {
    this.ready = inject(Parts).hold(
      () => this.id() || null,
      (learnerId, want) => want('folders', [learnerId]),
    );
  }

  add(handOutId = ''): string {
    const id = this.clock.newId();
    const note: FolderNote = { id, on: this.clock.today(), text: '', ...(handOutId ? { handOutId } : {}) };
    this.change({ notes: [...this.folder().notes, note] }, 'add an observation');
    return id;
  }

  note(id: string, patch: Partial<FolderNote>): void {
    const notes = this.folder().notes.map((n) => (n.id === id ? { ...n, ...patch } : n));
    const field = Object.keys(patch)[0] ?? '';
    this.change({ notes }, 'observation', `folder ${this.id()} ${id} ${field}`);
  }

  removeNote(id: string): void {
    const { notes, leftOut, stressed } = this.folder();
    const without = (keys: readonly string[]) => keys.filter((k) => k !== noteKey(id));
    const left = { notes: notes.filter((n) => n.id !== id), leftOut: without(leftOut), stressed: without(stressed) };
    this.change(left, 'remove an observation');
  }

  isLeftOut(key: string): boolean {
    return this.folder().leftOut.includes(key);
  }
  isStressed(key: string): boolean {
    return this.folder().stressed.includes(key);
  }

  leaveOut(key: string, out: boolean): void {
    const rest = this.folder().leftOut.filter((k) => k !== key);
    this.change({ leftOut: out ? [...rest, key] : rest }, out ? 'leave out of the evidence' : 'take into the evidence');
  }

  stress(key: string, on: boolean): void {
    const rest = this.folder().stressed.filter((k) => k !== key);
    this.change({ stressed: on ? [...rest, key] : rest }, on ? 'stress in the evidence' : 'not stress in the evidence');
  }

  change(patch: Partial<Omit<Folder, 'id'>>, label: string, mergeKey?: string): void {
    const action = { learnerId: this.id(), patch, label };
    this.work.dispatch(EvidenceActions.folderChanged(mergeKey === undefined ? action : { ...action, mergeKey }));
  }
}
