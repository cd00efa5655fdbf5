import { NgTemplateOutlet } from '@angular/common';
import { ChangeDetectionStrategy, Component, computed, inject, input, output } from '@angular/core';
import { type Answer, answerIsEmpty, type LearnerBlock, type Overtaken, type Said, takenIn } from '@lorvet/core/desk';
import { WrittenOn } from '../../ui/blocks/written-on';
import { Media } from '../../ui/blocks/media';
import { Say, saying } from '../../ui/say/say';
import { GoBefore } from './go-before';
import { MarkOf } from './mark-of';

/** Notes that stand open; those from before them are one press away. */
const MOST_OPEN = 4;

/** What is known beside the questions of a sheet, each by its question. */
export interface BesideAll {
  readonly marks: Said['marks'];
  readonly notes: Said['notes'];
  readonly comments: Said['comments'];
  /** Assets in which the teacher speaks about it. */
  readonly voices: Said['voices'];
  /** Levels that the teacher gave, in words. */
  readonly levels: Said['levels'];
  /** What the teacher wrote on drawings and photographs. */
  readonly writing: Said['writing'];
  readonly keys: Readonly<Record<string, string>>;
  /** What was answered in the go before, where that is shown. */
  readonly before: Readonly<Record<string, Answer>>;
  /** Who wrote the answer, by name, where several share the sheet. */
  readonly wrote: Readonly<Record<string, string>>;
  readonly overtaken: readonly (Overtaken & { readonly name: string })[];
}

/** What stands beside one question: who wrote it, its mark, what was before, what the teacher said, the answer. */
@Component({
  selector: 'lv-beside-question',
  imports: [GoBefore, MarkOf, Media, NgTemplateOutlet, WrittenOn],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @let b = block();
    @let all = beside();
    @if (all.marks[b.id]; as mark) {
      <lv-mark-of [mark]="mark" />
    }
    @if (all.wrote[b.id]; as name) {
      <p class="wrote" data-quiet>{{ t('Written by {name}', { name }) }}</p>
    }
    @for (o of all.overtaken; track $index) {
      @if (o.item === b.id && !empty(o.answer)) {
        <div class="other">
          <lv-go-before
            [block]="b"
            [answer]="o.answer"
            [says]="
              o.name
                ? t('{name} wrote this at the same time:', { name: o.name })
                : t('This was written at the same time:')
            "
          />
          @if (canWrite()) {
            <button class="btn" type="button" (click)="taken.emit(with(o))">{{ t('Use this instead') }}</button>
          }
        </div>
      }
    }
    @if (all.before[b.id]; as answer) {
      <lv-go-before [block]="b" [answer]="answer" [says]="t('What I answered before')" />
    }
    @let notes = all.notes[b.id] ?? [];
    @if (notes.length > most) {
      <details class="word">
        <summary>{{ t('Notes from before: {many}', { many: notes.length - most }) }}</summary>
        <ng-container *ngTemplateOutlet="said; context: { $implicit: notes.slice(0, -most) }" />
      </details>
    }
    <ng-container *ngTemplateOutlet="said; context: { $implicit: notes.slice(-most) }" />
    @for (level of all.levels[b.id] ?? []; track $index) {
      <p class="word said" lang="en" dir="auto">{{ level }}</p>
    }
    @if (all.comments[b.id]; as said) {
      <p class="word said" lang="en" dir="auto">{{ said }}</p>
    }
    @if (written(); as on) {
      <div class="word said">
        <p>{{ t('Your teacher wrote on it:') }}</p>
        @defer (on immediate) {
          <lv-written-on
            [block]="b"
            [answer]="on.answer"
            [writing]="on.writing"
            [label]="t('Your teacher wrote on it:')"
          />
        }
      </div>
    }
    @if (all.voices[b.id]; as asset) {
      <div class="word said">
        <p>{{ t('Your teacher speaks to you:') }}</p>
        <lv-media [assetId]="asset" what="sound" [label]="t('Your teacher’s words, to listen to')" />
      </div>
    }
    @if (all.keys[b.id]; as key) {
      <p class="word said">
        <strong>{{ t('The answer:') }}</strong>&ngsp;<span lang="en" dir="auto">{{ key }}</span>
      </p>
    }
    <ng-template #said let-list>
      @for (note of list; track $index) {
        <p class="word said">
          <strong>{{ t('Your teacher, {when}:', { when: say.when(note.at) }) }}</strong>&ngsp;<span
            lang="en"
            dir="auto"
            >{{ note.text }}</span
          >
        </p>
      }
    </ng-template>
  `,
  host: { '[attr.lang]': 'say.language()', '[attr.dir]': 'say.direction()' },
  styleUrl: './part.css',
  styles: `
    :host {
      display: grid;
      gap: 10px;
    }
    .other {
      display: grid;
      gap: 8px;
      justify-items: start;
    }
    summary {
      min-height: 44px;
      padding-block: 8px;
      cursor: pointer;
    }
    .wrote {
      margin-top: -14px;
      font-size: 0.85em;
      color: var(--ink-2);
    }
  `,
})
export class BesideQuestion {
  readonly block = input.required<LearnerBlock>();
  readonly beside = input.required<BesideAll>();
  /** What stands there now. */
  readonly answer = input<Answer>();
  readonly canWrite = input(false);
  readonly taken = output<Answer>();
  protected readonly say = inject(Say);
  protected readonly t = saying();
  protected readonly most = MOST_OPEN;
  protected readonly empty = answerIsEmpty;
  /** What the teacher wrote on the answer that stands here, or on the one of the go before. */
  protected readonly written = computed(() => {
    const id = this.block().id;
    const writing = this.beside().writing[id];
    const answer = this.beside().before[id] ?? this.answer();
    return writing && answer ? { writing, answer } : null;
  });
  protected readonly with = (o: Overtaken): Answer => takenIn(this.answer(), o);
}
