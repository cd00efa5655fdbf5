import { ChangeDetectionStrategy, Component, inject, signal } from '@angular/core';
import { BenchActions } from '../../../store/actions';
import type { KeptAsset } from '../../../platform/storage/kept-asset';
import { WorkspaceStore } from '../../../store/workspace';
import { Words } from '../../words';
import { type BlockOf, EditorPart } from '../editor-part';
import { Media } from '../media';
import { Take } from '../take';

@Component({
  selector: 'lv-instruction-editor',
  imports: [Words, Media, Take],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <p class="tag-small">Instruction</p>
    <lv-words
      [text]="block().text"
      [most]="most('text')"
      label="Instruction"
      placeholder="Say what to do"
      (written)="set({ text: $event })"
    />
    @if (block().recording; as r) {
      <lv-media [assetId]="r.assetId" [what]="r.what" label="The instruction, recorded" />
      <div class="row"><button class="btn quiet" type="button" (click)="take()">Take the recording away</button></div>
    } @else if (taking(); as what) {
      <lv-take [what]="what" (taken)="keep($event)" />
    } @else {
      <div class="row">
        <button class="btn quiet" type="button" (click)="taking.set('voice')">Say it</button>
        <button class="btn quiet" type="button" (click)="taking.set('video')">Show it</button>
      </div>
    }
  `,
  styleUrl: '../editor.css',
})
export class InstructionEditor extends EditorPart<BlockOf<'instruction'>> {
  private readonly work = inject(WorkspaceStore);
  protected readonly taking = signal<'voice' | 'video' | null>(null);

  protected keep(asset: KeptAsset): void {
    this.work.dispatch(BenchActions.pictureAdded({ asset }));
    this.set({ recording: { assetId: asset.id, what: this.taking() === 'video' ? 'video' : 'sound' } });
    this.taking.set(null);
  }

  protected take(): void {
    this.edit(({ recording: _, ...rest }) => rest);
  }
}
