import { ChangeDetectionStrategy, Component, computed, inject, input, output } from '@angular/core';
import { LucideDynamicIcon } from '@lucide/angular';
import type { Comfort, Tools } from '@lorvet/core/desk';
import { Speech } from '../../platform/speech';
import { Focused } from '../../ui/focused';
import { Reader } from './reader';
import { saying } from '../../ui/say/say';

const SPEEDS = [0.5, 0.65, 0.8, 1, 1.25, 1.5, 2];

/** What reading aloud is steered with: on and off, sentence by sentence, how much, how fast, and words one by one. */
@Component({
  selector: 'lv-read-bar',
  imports: [Focused, LucideDynamicIcon],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <div class="bar" role="group" [attr.aria-label]="t('Reading aloud')">
      <button class="btn" type="button" [attr.aria-label]="t('Sentence before')" (click)="reader.step(-1)">
        <svg lucideIcon="arrow-left"></svg><span class="wide">{{ t('Sentence') }}</span>
      </button>
      <button
        lvFocused
        class="btn main play"
        type="button"
        (click)="reader.isPlaying() ? reader.pause() : reader.play()"
      >
        <svg [lucideIcon]="reader.isPlaying() ? 'pause' : 'play'"></svg
        >{{ t(reader.isPlaying() ? 'Pause' : reader.hasPlace() ? 'Read on' : 'Read') }}
      </button>
      <button class="btn" type="button" [attr.aria-label]="t('Sentence after')" (click)="reader.step(1)">
        <span class="wide">{{ t('Sentence') }}</span><svg lucideIcon="arrow-right"></svg>
      </button>
      <button class="btn" type="button" [attr.aria-label]="t('Stop reading')" (click)="closed.emit()">
        <svg lucideIcon="x"></svg><span class="wide">{{ t('Stop') }}</span>
      </button>
      @if (tools().aloud !== 'fixed') {
        <button class="btn wide" type="button" [disabled]="comfort().speed <= 0.5" (click)="faster(-1)">
          {{ t('Slower') }}
        </button>
        <button class="btn wide" type="button" [disabled]="comfort().speed >= 2" (click)="faster(1)">
          {{ t('Faster') }}
        </button>
      }
      @if (tools().meaning !== 'hidden') {
        <button
          class="btn"
          type="button"
          [attr.aria-pressed]="reader.isHelping()"
          (click)="reader.help(!reader.isHelping())"
        >
          <svg lucideIcon="book-a"></svg>{{ t('Word help') }}
        </button>
      }
      @if (reader.isHelping()) {
        <span class="bar" role="group" [attr.aria-label]="t('Words one by one')">
          <button class="btn" type="button" [attr.aria-label]="t('Word before')" (click)="reader.pointOn(-1)">
            <svg lucideIcon="arrow-left"></svg>{{ t('Word') }}
          </button>
          <button class="btn" type="button" [attr.aria-label]="t('Word after')" (click)="reader.pointOn(1)">
            {{ t('Word') }}<svg lucideIcon="arrow-right"></svg>
          </button>
        </span>
      }
      <span class="none" role="status">
        @if (reader.isHelping() && !reader.pointed()) {
          {{ t('Press a word on the page.') }}
        } @else if (speech.isStandIn()) {
          {{ t('No voice on this computer: the words are only marked.') }}
        }
      </span>
    </div>
  `,
  host: { '(keydown.escape)': 'escape()' },
  styles: `
    :host {
      display: block;
    }
    .bar {
      display: flex;
      flex-wrap: wrap;
      align-items: center;
      gap: 8px;
    }
    .btn {
      min-height: 46px;
      padding: 2px 12px;
      font-size: 0.9em;
    }
    /* It does not change its width, and what is beside it its place. */
    .play {
      min-width: 8em;
    }
    .btn[aria-pressed='true'] {
      border: 2px solid var(--ink);
      font-weight: 700;
    }
    /* Speed is among the comforts too. */
    @media (max-width: 760px) {
      .wide {
        display: none;
      }
      .play {
        min-width: 0;
      }
    }
    .none {
      flex: 1 1 12em;
      font-size: 0.8em;
      line-height: 1.2;
    }
  `,
})
export class ReadBar {
  protected readonly t = saying();
  readonly comfort = input.required<Comfort>();
  readonly tools = input<Tools>({});
  readonly comfortChanged = output<Partial<Comfort>>();
  readonly closed = output();
  protected readonly reader = inject(Reader);
  protected readonly speech = inject(Speech);
  private readonly at = computed(() => {
    const near = SPEEDS.findIndex((s) => s >= this.comfort().speed);
    return near < 0 ? SPEEDS.length - 1 : near;
  });

  protected escape(): void {
    if (this.reader.pointed()) this.reader.point(null);
    else this.closed.emit();
  }

  protected faster(by: 1 | -1): void {
    const speed = SPEEDS[this.at() + by];
    if (speed !== undefined) this.comfortChanged.emit({ speed });
  }
}
