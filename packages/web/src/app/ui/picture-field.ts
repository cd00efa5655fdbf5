import { ChangeDetectionStrategy, Component, inject, input, output } from '@angular/core';
import { LucideDynamicIcon } from '@lucide/angular';
import { readPicture } from '../platform/files';
import { BenchActions } from '../store/actions';
import { WorkspaceStore } from '../store/workspace';
import { Notice } from './notice';

/** A button that takes a picture file and keeps it; says the id of what it kept. */
@Component({
  selector: 'lv-picture-field',
  imports: [LucideDynamicIcon],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <label class="btn" [class.quiet]="quiet()" [class.icon]="quiet()" [title]="label()">
      <svg lucideIcon="image"></svg><span [class.sr]="quiet()">{{ label() }}</span>
      <input #f class="sr" type="file" accept="image/*" (change)="take(f.files?.[0]); f.value = ''" />
    </label>
    @if (assetId() && quiet()) {
      <button
        class="btn quiet icon"
        type="button"
        [attr.aria-label]="'Take the picture away: ' + label()"
        (click)="chosen.emit('')"
      >
        <svg lucideIcon="x"></svg>
      </button>
    }
  `,
  styles: `
    :host {
      display: inline-flex;
    }
    label:focus-within {
      outline: 3px solid var(--focus);
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

  protected async take(file: File | undefined): Promise<void> {
    if (!file) return;
    const read = await readPicture(file);
    if ('problem' in read) {
      this.notice.wrong('This picture was not taken', read.problem);
      return;
    }
    this.work.dispatch(BenchActions.pictureAdded({ asset: read }));
    this.chosen.emit(read.id);
  }
}
