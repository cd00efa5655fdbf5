import { ChangeDetectionStrategy, Component, inject, input, output } from '@angular/core';
import { LucideDynamicIcon } from '@lucide/angular';
import { readPicture } from '../platform/files';
import { BenchActions } from '../store/actions';
import { WorkspaceStore } from '../store/workspace';
import { FileButton } from './file-button';
import { IconButton } from './icon-button';
import { Notice } from './notice';

/** A button that takes a picture file and keeps it; says the id of what it kept. */
@Component({
  selector: 'lv-picture-field',
  imports: [IconButton, FileButton, LucideDynamicIcon],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <lv-file-button accept="image/*" [quiet]="quiet()" (chosen)="take($event)" [title]="label()"
      ><svg lucideIcon="image"></svg><span [class.sr]="quiet()">{{ label() }}</span></lv-file-button
    >
    @if (assetId() && quiet()) {
      <button type="button" lvIcon="x" [says]="'Take the picture away: ' + label()" (click)="chosen.emit('')"></button>
    }
  `,
  styles: `
    :host {
      display: inline-flex;
    }
  `,
})
export class PictureField {
  readonly assetId = input('');
  readonly label = input('Choose a picture');
  readonly quiet = input(false);
  readonly chosen = output<string>();
  private readonly work = inject(WorkspaceStore);
  private readonly notice = inject(Notice);

  protected async take(file: File): Promise<void> {
    const read = await readPicture(file);
    if ('problem' in read) {
      this.notice.wrong('This picture was not taken', read.problem);
      return;
    }
    this.work.dispatch(BenchActions.pictureAdded({ asset: read }));
    this.chosen.emit(read.id);
  }
}
