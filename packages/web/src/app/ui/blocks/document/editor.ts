import { ChangeDetectionStrategy, Component, inject, signal } from '@angular/core';
import { readMedia } from '../../../platform/files';
import { BenchActions } from '../../../store/actions';
import { WorkspaceStore } from '../../../store/workspace';
import { FileButton } from '../../file-button';
import { type BlockOf, EditorPart } from '../editor-part';

@Component({
  selector: 'lv-document-editor',
  imports: [FileButton],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <input
      class="input"
      #t
      [maxLength]="most('title')"
      aria-label="Title of the document"
      placeholder="Title"
      [value]="block().title"
      (change)="set({ title: t.value })"
    />
    <lv-file-button accept="application/pdf,.pdf" (chosen)="take($event)">{{
      block().assetId ? 'Another PDF' : 'The PDF'
    }}</lv-file-button>
    @if (problem()) {
      <p class="problem" role="alert">{{ problem() }}</p>
    }
  `,
  styleUrl: '../editor.css',
})
export class DocumentEditor extends EditorPart<BlockOf<'document'>> {
  private readonly work = inject(WorkspaceStore);
  protected readonly problem = signal('');

  protected async take(file: File): Promise<void> {
    const taken = await readMedia(file, 'pdf');
    this.problem.set('problem' in taken ? taken.problem : '');
    if ('problem' in taken) return;
    this.work.dispatch(BenchActions.pictureAdded({ asset: taken }));
    const name = file.name.replace(/\.pdf$/i, '').slice(0, this.most('title'));
    this.set((b) => ({ assetId: taken.id, title: b.title || name }));
  }
}
