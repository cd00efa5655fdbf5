import { ChangeDetectionStrategy, Component, inject, input, linkedSignal, output, signal } from '@angular/core';
import { type Answer, mediaOf } from '@lorvet/core/desk';
import { DeskActions } from '../../store/actions';
import { WorkspaceStore } from '../../store/workspace';
import { Picture } from '../picture';
import { Media } from './media';
import { PhotoEdit } from './photo-edit';
import { Take } from './take';
import type { KeptAsset } from '../../platform/storage/kept-asset';
import { saying } from '../say/say';

type Given = Extract<Answer, { kind: 'media' }>;

/** A learner's tries at a photograph or a recording, side by side; one of them is the best and counts. */
@Component({
  selector: 'lv-takes',
  imports: [Take, PhotoEdit, Picture, Media],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @if (given().takes.length) {
      <ul>
        @for (id of given().takes; track id; let i = $index) {
          <li [class.best]="id === given().best">
            @if (what() === 'photo') {
              <lv-picture [assetId]="id" [alt]="t('Try {number}', { number: i + 1 })" />
            } @else {
              <lv-media [assetId]="id" what="sound" [label]="t('Try {number}', { number: i + 1 })" />
            }
            @if (!locked()) {
              <span class="row">
                @if (given().takes.length > 1) {
                  <label
                    ><input
                      type="radio"
                      [name]="name()"
                      [checked]="id === given().best"
                      (change)="take({ kind: 'media', takes: [...given().takes], best: id })"
                    />
                    {{ t('the best') }}</label
                  >
                }
                @if (what() === 'photo') {
                  <button class="btn" type="button" (click)="changing.set(id)">
                    {{ t('Change try {number}', { number: i + 1 }) }}
                  </button>
                }
                <button class="btn" type="button" (click)="drop(id)">
                  {{ t('Take away try {number}', { number: i + 1 }) }}
                </button>
              </span>
            }
          </li>
        }
      </ul>
    }
    @if (!locked() && given().takes.includes(changing()) && changing(); as id) {
      @defer (on immediate) {
        <lv-photo-edit [assetId]="id" (kept)="exchange(id, $event)" (closed)="changing.set('')" />
      }
    }
    @if (!locked()) {
      @if (given().takes.length < most()) {
        <lv-take [what]="what()" (taken)="add($event)" />
      } @else {
        <p class="small">{{ t('These are as many tries as fit. Take one away to try again.') }}</p>
      }
    } @else if (!given().takes.length) {
      <p class="small">{{ t(what() === 'photo' ? 'No photograph here.' : 'No recording here.') }}</p>
    }
  `,
  styles: `
    :host {
      display: grid;
      gap: 10px;
    }
    ul {
      display: grid;
      grid-template-columns: repeat(auto-fill, minmax(14em, 1fr));
      gap: 10px;
    }
    li {
      display: grid;
      gap: 6px;
      padding: 8px;
      border: 2px solid var(--line);
      border-radius: 8px;
    }
    li.best {
      border-color: var(--moss);
    }
    .row {
      display: flex;
      flex-wrap: wrap;
      gap: 8px;
      align-items: center;
    }
    label {
      display: flex;
      align-items: center;
      gap: 6px;
      min-height: 44px;
    }
  `,
})
export class Takes {
  protected readonly t = saying();
  readonly what = input.required<'photo' | 'voice'>();
  readonly most = input(3);
  readonly name = input('');
  readonly answer = input<Answer>();
  readonly locked = input(false);
  readonly changed = output<Given>();
  private readonly work = inject(WorkspaceStore);
  /** The photograph that is being changed. */
  protected readonly changing = signal('');
  protected readonly given = linkedSignal<Given>(() => mediaOf(this.answer()));

  protected add(asset: KeptAsset): void {
    this.work.dispatch(DeskActions.mediaKept({ asset }));
    this.take({ kind: 'media', takes: [...this.given().takes, asset.id], best: this.given().best || asset.id });
  }

  /** The photograph as it was changed takes the place of the one before. */
  protected exchange(id: string, asset: KeptAsset): void {
    this.work.dispatch(DeskActions.mediaKept({ asset }));
    const { takes, best } = this.given();
    this.changing.set('');
    this.take({
      kind: 'media',
      takes: takes.map((t) => (t === id ? asset.id : t)),
      best: best === id ? asset.id : best,
    });
  }

  protected take(next: Given): void {
    this.given.set(next);
    this.changed.emit(next);
  }

  protected drop(id: string): void {
    const takes = this.given().takes.filter((t) => t !== id);
    this.take({
      kind: 'media',
      takes,
      best: this.given().best === id ? (takes[0] ?? '') : this.given().best,
    });
  }
}
