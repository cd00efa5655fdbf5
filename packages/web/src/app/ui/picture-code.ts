import { ChangeDetectionStrategy, Component, input, output, signal } from '@angular/core';
import { LucideDynamicIcon } from '@lucide/angular';
import { type Plain, saying } from './say/say';
import { CODE_LENGTH, CODE_PICTURES, type CodePicture } from '../platform/lock';

const NAMES: Readonly<Record<CodePicture, Plain>> = {
  fish: 'fish',
  bird: 'bird',
  star: 'star',
  'tree-pine': 'tree',
  sailboat: 'boat',
  umbrella: 'umbrella',
  bell: 'bell',
  apple: 'apple',
  cat: 'cat',
};

/** The pictures of a code, to look up. */
@Component({
  selector: 'lv-code',
  imports: [LucideDynamicIcon],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @for (p of code(); track $index) {
      <svg [lucideIcon]="p" aria-hidden="true"></svg>
    }
    <span class="sr">{{ says() }}</span>
  `,
  styles: `
    :host {
      display: inline-flex;
      gap: 8px;
    }
    svg {
      width: 22px;
      height: 22px;
    }
  `,
})
export class Code {
  readonly code = input.required<readonly CodePicture[]>();
  protected readonly says = () =>
    this.code()
      .map((p) => NAMES[p])
      .join(', ');
}

/** Where a learner presses their pictures, one after the other. */
@Component({
  selector: 'lv-picture-code',
  imports: [LucideDynamicIcon],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <p
      role="status"
      [attr.aria-label]="t('{number} of {of} pictures pressed', { number: pressed().length, of: length })"
    >
      @for (i of places; track i) {
        <span [class.full]="i < pressed().length"></span>
      }
    </p>
    <div>
      @for (p of pictures; track p) {
        <button class="btn" type="button" [disabled]="locked()" (click)="press(p)">
          <svg [lucideIcon]="p" aria-hidden="true"></svg><span class="sr">{{ t(names[p]) }}</span>
        </button>
      }
    </div>
  `,
  styles: `
    :host {
      display: grid;
      gap: 16px;
      justify-items: center;
    }
    p {
      display: flex;
      gap: 12px;
    }
    p span {
      width: 18px;
      height: 18px;
      border: 2px solid var(--ink-2);
      border-radius: 50%;
    }
    p .full {
      background: var(--ink-2);
    }
    div {
      display: grid;
      grid-template-columns: repeat(3, 92px);
      gap: 12px;
    }
    .btn {
      width: 92px;
      height: 92px;
      justify-content: center;
    }
    .btn svg {
      width: 46px;
      height: 46px;
    }
    @media (forced-colors: active) {
      p .full {
        background: CanvasText;
      }
    }
  `,
})
export class PictureCode {
  protected readonly t = saying();
  readonly locked = input(false);
  readonly chosen = output<readonly CodePicture[]>();
  protected readonly pictures = CODE_PICTURES;
  protected readonly names = NAMES;
  protected readonly length = CODE_LENGTH;
  protected readonly places = Array.from({ length: CODE_LENGTH }, (_, i) => i);
  protected readonly pressed = signal<readonly CodePicture[]>([]);

  protected press(picture: CodePicture): void {
    const pressed = [...this.pressed(), picture];
    this.pressed.set(pressed.length < CODE_LENGTH ? pressed : []);
    if (pressed.length === CODE_LENGTH) this.chosen.emit(pressed);
  }
}
