import { ChangeDetectionStrategy, Component, computed, effect, ElementRef, inject, input, signal } from '@angular/core';
import { type EvidenceWork, LONGEST_FOLDER_NOTE, noteKey } from '@lorvet/core/evidence';
import { LucideDynamicIcon } from '@lucide/angular';
import { ButtonDirective } from 'primeng/button';
import { Textarea } from 'primeng/textarea';
import { DateField } from '../../ui/controls/date';
import { SELECT } from '../../ui/controls/select';
import { IconButton } from '../../ui/icon-button';
import { PictureField } from '../../ui/picture-field';
import { TypedAhead } from '../../ui/typed-ahead';
import { type FolderHere } from './folder-here';
import { NotePicture } from './note-picture';

/** What the teacher saw and adds by hand: words, a day, a photograph, and which work it speaks of. */
@Component({
  selector: 'lv-observations',
  imports: [ButtonDirective, DateField, IconButton, LucideDynamicIcon, NotePicture, PictureField, Textarea, ...SELECT],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @let f = folder();
    <div class="row">
      <h2 class="grow">Observations</h2>
      <button pButton severity="secondary" type="button" [disabled]="f.isFull()" (click)="add()">
        <svg lucideIcon="plus"></svg>Observation
      </button>
    </div>
    @if (f.isFull()) {
      <p class="small">There is room for no more of them. Remove what is not needed.</p>
    }
    @for (n of shown(); track n.id) {
      <section class="note" [attr.aria-label]="'Observation of ' + (n.on || 'no day')" [attr.data-note]="n.id">
        <textarea
          pTextarea
          #t
          rows="3"
          aria-label="What you saw"
          [attr.maxlength]="most"
          [value]="n.text"
          (input)="f.note(n.id, { text: t.value })"
        ></textarea>
        @if (n.assetId; as asset) {
          <lv-note-picture [assetId]="asset" [alt]="n.text" />
        }
        <div class="row">
          <lv-date label="Day" hideLabel [value]="n.on" (told)="f.note(n.id, { on: $event })" />
          <lv-select
            label="Of which work"
            hideLabel
            [value]="n.handOutId ?? ''"
            (chosen)="f.note(n.id, { handOutId: $event || undefined })"
          >
            <lv-option value="" label="of no one work" />
            @for (w of works(); track w.handOutId) {
              <lv-option [value]="w.handOutId" [label]="w.title" />
            }
          </lv-select>
        </div>
        <div class="row">
          <lv-picture-field
            [assetId]="n.assetId ?? ''"
            [quiet]="true"
            label="Photograph"
            (chosen)="f.note(n.id, { assetId: $event || undefined })"
          />
          <button
            pButton
            severity="secondary"
            text
            type="button"
            [attr.aria-pressed]="f.isStressed(key(n.id))"
            (click)="f.stress(key(n.id), !f.isStressed(key(n.id)))"
          >
            <svg lucideIcon="star" [class.on]="f.isStressed(key(n.id))"></svg>Stress
          </button>
          <button
            pButton
            severity="secondary"
            text
            type="button"
            [attr.aria-pressed]="f.isLeftOut(key(n.id))"
            (click)="f.leaveOut(key(n.id), !f.isLeftOut(key(n.id)))"
          >
            {{ f.isLeftOut(key(n.id)) ? 'Take in' : 'Leave out' }}
          </button>
          <span class="grow"></span>
          <button type="button" lvIcon="trash-2" says="Remove this observation" (click)="f.removeNote(n.id)"></button>
        </div>
      </section>
    } @empty {
      <p class="small">Nothing yet. What the work cannot show goes here: what you saw, a photograph.</p>
    }
  `,
  styles: `
    :host {
      display: grid;
      grid-template-columns: minmax(0, 1fr);
      gap: 10px;
    }
    .note {
      display: grid;
      grid-template-columns: minmax(0, 1fr);
      gap: 6px;
      padding-top: 8px;
      border-top: 1px solid var(--line);
    }
    textarea {
      width: 100%;
    }
    lv-date {
      width: 150px;
    }
    lv-select {
      flex: 1;
      min-width: 140px;
    }
    svg.on {
      fill: var(--ochre);
    }
  `,
})
export class Observations {
  readonly folder = input.required<FolderHere>();
  readonly works = input.required<readonly EvidenceWork[]>();
  protected readonly most = LONGEST_FOLDER_NOTE;
  protected readonly key = noteKey;
  /** The newest first. */
  protected readonly shown = computed(() => [...this.folder().folder().notes].reverse());
  private readonly ahead = inject(TypedAhead);
  private readonly host = inject<ElementRef<HTMLElement>>(ElementRef).nativeElement;
  private readonly fresh = signal('');

  constructor() {
    effect(() => {
      const id = this.fresh();
      if (!id || !this.shown().some((n) => n.id === id)) return;
      setTimeout(() => {
        const field = this.host.querySelector<HTMLElement>(`[data-note="${CSS.escape(id)}"] textarea`);
        if (field) this.ahead.into(field);
      });
    });
  }

  protected add(): void {
    this.fresh.set(this.folder().add());
  }
}
