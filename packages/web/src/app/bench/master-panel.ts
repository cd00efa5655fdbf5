import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import {
  type Block,
  DEMANDS,
  findBlock,
  isItem,
  type ItemBlock,
  LANGUAGES,
  LANGUAGE_LABELS,
  mostIn,
  whereUsedInSteps,
  questionNumbers,
} from '@lorvet/core';
import { RouterLink } from '@angular/router';
import { ButtonDirective } from 'primeng/button';
import { InputText } from 'primeng/inputtext';
import { Textarea } from 'primeng/textarea';
import { CheckBox } from '../ui/controls/check';
import { NumberField } from '../ui/controls/number';
import { SELECT } from '../ui/controls/select';
import { AboutActivity } from './about-activity';
import { BenchView, nameOf } from './bench-view';
import { inTurns } from '../ui/in-turns';
import { NumberRules } from './number-rules';
import { many } from '../platform/many';

/** Beside the master: what the chosen item is for, where it is used; else what the activity is for. */
@Component({
  selector: 'lv-master-panel',
  imports: [
    AboutActivity,
    ButtonDirective,
    CheckBox,
    InputText,
    NumberField,
    NumberRules,
    RouterLink,
    Textarea,
    ...SELECT,
  ],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @if (view.master(); as master) {
      <div class="stack">
        @if (chosen(); as b) {
          <h3>Chosen: {{ b.name }}</h3>
          @if (b.item; as item) {
            <lv-select
              label="Objective"
              [value]="item.objectiveId"
              (chosen)="set(item, { objectiveId: $event || undefined })"
            >
              <lv-option value="" label="none" />
              @for (x of master.objectives; track x.id) {
                <lv-option [value]="x.id" [label]="x.text" />
              }
            </lv-select>
            <div class="two">
              <lv-select label="Demand" [value]="item.demand" (chosen)="setDemand(item, $event)">
                @for (x of demands; track x) {
                  <lv-option [value]="x" [label]="x" />
                }
              </lv-select>
              <lv-number
                label="Points"
                [min]="0"
                [max]="100"
                [value]="item.points"
                (told)="set(item, { points: clamp($event) })"
              />
            </div>
            <label class="field"
              >Hint for everybody
              <textarea
                pTextarea
                #h
                rows="2"
                [maxLength]="mostInHint"
                [value]="item.hint ?? ''"
                (change)="set(item, { hint: h.value.trim() || undefined })"
              ></textarea>
            </label>
            <lv-check [on]="item.optional ?? false" (turned)="set(item, { optional: $event || undefined })"
              >Optional: a recipe may leave it out</lv-check
            >
            @if (item.kind === 'number') {
              @if (item.unit) {
                <lv-check [on]="item.otherUnits ?? false" (turned)="set(item, { otherUnits: $event || undefined })"
                  >The same amount in another unit counts</lv-check
                >
              }
              <lv-number-rules
                [block]="item"
                (changed)="view.changeBlock(item.id, $event, 'numbers that may be others')"
              />
            }
            @if (item.kind === 'short-text' || item.kind === 'long-text' || item.kind === 'number') {
              <lv-check [on]="item.signs ?? false" (turned)="set(item, { signs: $event || undefined })"
                >Signs and formulas for maths beside the field</lv-check
              >
            }
            @if (item.kind === 'short-text') {
              <lv-check [on]="item.spellingTolerant" (turned)="set(item, { spellingTolerant: $event })"
                >A slip of spelling still counts</lv-check
              >
            }
          } @else if (b.canBeTeachers) {
            @if (b.block.kind === 'text' || b.block.kind === 'passage') {
              <lv-select
                label="Language of this text"
                [value]="b.block.language ?? ''"
                (chosen)="setLanguageOf(b.block, $event)"
              >
                <lv-option value="" label="as found" />
                @for (l of LANGUAGES; track l) {
                  <lv-option [value]="l" [label]="LABELS[l]" />
                }
              </lv-select>
            }
            <lv-check [on]="b.block.audience === 'teacher'" (turned)="setAudience(b.block, $event)"
              >Only for you, never shown to learners</lv-check
            >
          }
          @if (uses(); as all) {
            <h3>In the versions</h3>
            <a routerLink="/evidence/way" [queryParams]="{ family: view.familyId(), block: b.block.id }"
              >The whole way: who has had it, and what would change</a
            >
            <ul class="uses">
              @for (u of all; track u.versionId) {
                <li>
                  <strong>{{ u.versionName }}</strong>
                  {{ u.how === 'not in it' ? 'gets it with the next revision' : u.how }}
                  <small>{{ many(u.learnerIds.length, 'learner') }}</small>
                </li>
              }
            </ul>
          }
          <button pButton severity="secondary" text type="button" (click)="view.chosen.set(null)">
            About the whole activity
          </button>
        } @else {
          <lv-about-activity />
        }
      </div>
    }
  `,
  styles: `
    :host {
      display: block;
    }
    .two {
      display: grid;
      grid-template-columns: 1fr 80px;
      gap: 8px;
    }
    .uses li {
      padding: 5px 0;
      border-bottom: 1px solid var(--line);
    }
    .uses small {
      display: block;
    }
  `,
})
export class MasterPanel {
  protected readonly many = many;
  protected readonly view = inject(BenchView);
  protected readonly demands = DEMANDS;
  protected readonly mostInHint = mostIn('single-choice', 'hint');
  protected readonly chosen = computed(() => {
    const master = this.view.master();
    const block = master && findBlock(master, this.view.chosenInPanel() ?? '')?.block;
    if (!master || !block) return null;
    const canBeTeachers = ['text', 'instruction', 'picture', 'heading'].includes(block.kind);
    return {
      block,
      item: isItem(block) ? block : null,
      name: nameOf(block, questionNumbers(master.pages).get(block.id) ?? 0),
      canBeTeachers,
    };
  });
  protected readonly uses = inTurns(() => {
    const family = this.view.family();
    const id = this.view.chosenInPanel();
    return family && id ? whereUsedInSteps(family, id, this.view.work.handOutHeads()) : null;
  });

  protected clamp(n: number | null): number {
    return n === null ? 1 : Math.min(100, Math.max(0, n));
  }

  protected set(
    item: ItemBlock,
    patch: {
      [K in 'objectiveId' | 'hint' | 'optional' | 'points' | 'signs' | 'spellingTolerant' | 'otherUnits']?: unknown;
    },
  ): void {
    this.view.changeBlock(
      item.id,
      (b) => {
        const next: Record<string, unknown> = { ...b, ...patch };
        for (const [k, v] of Object.entries(patch)) if (v === undefined) delete next[k];
        return next as Block;
      },
      'what an item is for',
    );
  }

  protected setDemand(item: ItemBlock, value: string): void {
    const demand = DEMANDS.find((d) => d === value);
    if (demand) this.view.changeBlock(item.id, (b) => (isItem(b) ? { ...b, demand } : b), 'demand of an item');
  }

  protected setAudience(block: Block, teacher: boolean): void {
    this.view.changeBlock(
      block.id,
      (b) => (b.kind === 'teacher-note' ? b : { ...b, audience: teacher ? 'teacher' : 'learner' }),
      'whom a block is for',
    );
  }

  protected readonly LANGUAGES = LANGUAGES;
  protected readonly LABELS = LANGUAGE_LABELS;
  /** The language of one text, where it is another than the activity's. */
  protected setLanguageOf(block: Block, value: string): void {
    const language = LANGUAGES.find((l) => l === value);
    this.view.changeBlock(
      block.id,
      (b) => {
        if (b.kind !== 'text' && b.kind !== 'passage') return b;
        const { language: _, ...rest } = b;
        return language ? { ...rest, language } : rest;
      },
      'language of a text',
    );
  }
}
