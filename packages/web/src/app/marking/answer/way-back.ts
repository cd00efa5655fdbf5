import { NgTemplateOutlet } from '@angular/common';
import { ChangeDetectionStrategy, Component, computed, input } from '@angular/core';
import { RouterLink } from '@angular/router';
import { adjustmentKinds, type Decided, type Lineage } from '@lorvet/core';
import { many } from '../../platform/many';
import { FOLD } from '../../ui/controls/fold';
import { toneOf } from '../../ui/tone';
import { dayIn } from '../../ui/when';

/** How everybody did on the question. */
interface Across {
  readonly had: number;
  readonly wordings: number;
  readonly right: number;
  readonly leftOut: readonly string[];
}

/** What was decided about one adjustment, in one line: “accommodation: every objective is still asked.” */
function saidOf(d: Decided) {
  const judgement = d.overruled?.judgement ?? d.verdict?.judgement;
  const computed = d.verdict && d.verdict.judgement !== judgement ? ` (computed: ${d.verdict.judgement})` : '';
  return {
    id: d.adjustmentId,
    kind:
      d.name ?? (d.kind in adjustmentKinds ? adjustmentKinds[d.kind as keyof typeof adjustmentKinds].label : d.kind),
    version: d.versionName,
    sentence: d.sentence,
    judgement,
    tone: judgement ? toneOf(judgement) : '',
    why: d.overruled
      ? `${d.overruled.reason}${computed}`
      : [d.verdict?.why, d.verdict?.question].filter(Boolean).join(' '),
    by: `${d.author}, ${dayIn(d.at)}`,
    reason: d.reason ?? '',
    goal: d.goal ? d.goal.text || 'a goal that was on no card any more' : '',
    status: d.status === 'applied' ? '' : (d.statusWhy ?? ''),
  };
}

/** From an answer back to the master: what made its question so, and what had been decided about that when it was given. */
@Component({
  selector: 'lv-way-back',
  imports: [...FOLD, NgTemplateOutlet, RouterLink],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <ng-template #decided let-d>
      <p class="small">
        @if (d.judgement) {
          <span class="tag {{ d.tone }}">{{ d.judgement }}</span>
        }
        {{ d.why }}
      </p>
      @if (d.reason || d.goal) {
        <p class="small">{{ d.reason }}{{ d.goal ? (d.reason ? ' · ' : '') + 'Goal: ' + d.goal : '' }}</p>
      }
      @if (d.status) {
        <p class="small since">{{ d.status }}</p>
      }
      <p class="small">{{ d.by }}</p>
    </ng-template>
    <div class="card way">
      <div class="row head">
        <h3 class="grow">The way back</h3>
        <a
          routerLink="/evidence/way"
          [queryParams]="{ family: familyId(), block: way().asGiven.id, learner: of()[0]?.id }"
          >The whole way</a
        >
        @for (w of of(); track w.id) {
          <a [routerLink]="['/evidence/of', w.id]" [queryParams]="{ work: handOutId() }"
            >Evidence<span [class.sr]="of().length === 1"> of {{ w.name }}</span></a
          >
        }
      </div>
      @if (way().master; as m) {
        <p>
          <a [routerLink]="['/bench', familyId()]" [queryParams]="{ block: m.block.id }"
            >master, revision {{ m.revision.n }}</a
          >
        </p>
      } @else {
        <p class="small">This question was added by the version.</p>
      }
      @for (s of steps(); track s.step.adjustmentId) {
        <div class="step">
          <p>
            <strong>{{ s.step.versionName }}</strong> {{ s.step.sentence }}
          </p>
          @if (s.said) {
            <ng-container *ngTemplateOutlet="decided; context: { $implicit: s.said }" />
          }
        </div>
      } @empty {
        @if (way().master) {
          <p class="small">Given as it stands in the master.</p>
        }
      }
      @if (way().changedSince) {
        <p class="small since">The master’s question has been changed since.</p>
      }
      <p class="small">
        {{ many(across().had, noun()) }} had this question in {{ many(across().wordings, 'wording') }}:
        {{ across().right }} right.{{
          across().leftOut.length ? ' Left out of ' + across().leftOut.join(', ') + '.' : ''
        }}
      </p>
      @if (whole(); as w) {
        <lv-fold name="All that was decided when it was given">
          <ng-template lvFolded>
            <div class="way">
              @for (v of w.verdicts; track v.versionId) {
                <p>
                  <span class="tag {{ v.tone }}">{{ v.judgement }}</span> <span class="small">{{ v.why }}</span>
                </p>
              }
              @for (d of w.adjustments; track d.id) {
                <div class="step">
                  <p>
                    <strong>{{ d.kind }}</strong> <span class="small">{{ d.version }}</span>
                  </p>
                  <p class="small">{{ d.sentence }}</p>
                  <ng-container *ngTemplateOutlet="decided; context: { $implicit: d }" />
                </div>
              }
              @if (w.leftOut.length) {
                <h4>Not on this sheet</h4>
                <ul>
                  @for (l of w.leftOut; track l.id) {
                    <li class="small">{{ l.words }}</li>
                  }
                </ul>
              }
            </div>
          </ng-template>
        </lv-fold>
      }
    </div>
  `,
  styles: `
    .way {
      display: grid;
      gap: 4px;
    }
    .way p {
      display: flex;
      gap: 6px;
      align-items: baseline;
      flex-wrap: wrap;
      overflow-wrap: anywhere;
    }
    .step {
      display: grid;
      gap: 2px;
      font-size: 14px;
      padding-left: 10px;
      border-left: 2px solid var(--accent);
      margin-block: 4px;
    }
    .since {
      color: var(--ochre);
    }
    ul {
      margin: 0;
      padding-left: 18px;
    }
  `,
})
export class WayBack {
  readonly way = input.required<Lineage>();
  readonly familyId = input.required<string>();
  readonly across = input.required<Across>();
  /** Whose work it is, and which hand-out: their evidence speaks of it. */
  readonly of = input.required<readonly { readonly id: string; readonly name: string }[]>();
  readonly handOutId = input.required<string>();
  /** What a row of the table is: "learner", "group". */
  readonly noun = input.required<string>();
  protected readonly many = many;

  protected readonly steps = computed(() =>
    this.way().steps.map((step) => ({ step, said: step.decided ? saidOf(step.decided) : null })),
  );
  protected readonly whole = computed(() => {
    const { record } = this.way();
    if (!record?.adjustments.length) return null;
    return {
      verdicts: record.verdicts.map((v) => ({ ...v, why: v.why.join(' '), tone: toneOf(v.judgement) })),
      adjustments: record.adjustments.map(saidOf),
      leftOut: record.leftOut,
    };
  });
}
