import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import { BenchActions } from '../../store/actions';
import type { KeptAsset } from '../../platform/storage/kept-asset';
import { WorkspaceStore } from '../../store/workspace';
import { type BlockOf, EditorPart } from './editor-part';
import { Media } from './media';
import { Take } from './take';

/** A sound or a video, taken here or from a file, with what is said in it. */
@Component({
  selector: 'lv-recorded-editor',
  imports: [Media, Take],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <input
      class="input"
      #t
      [maxLength]="most('title')"
      aria-label="Title"
      placeholder="Title"
      [value]="block().title"
      (change)="set({ title: t.value })"
    />
    <lv-media [assetId]="block().assetId" [what]="what()" [label]="block().title" />
    <lv-take [what]="block().kind === 'audio' ? 'voice' : 'video'" (taken)="keep($event)" />
    <textarea
      class="input"
      #s
      rows="2"
      aria-label="What is said"
      placeholder="What is said, for those who cannot hear it"
      [maxLength]="most('transcript')"
      [value]="block().transcript"
      (change)="set({ transcript: s.value })"
    ></textarea>
  `,
  styleUrl: './editor.css',
})
export class RecordedEditor extends EditorPart<BlockOf<'audio' | 'video'>> {
  protected readonly what = computed(() => (this.block().kind === 'audio' ? 'sound' : 'video'));
  private readonly work = inject(WorkspaceStore);

  protected keep(asset: KeptAsset): void {
    this.work.dispatch(BenchActions.pictureAdded({ asset }));
    this.set({ assetId: asset.id });
  }
}
