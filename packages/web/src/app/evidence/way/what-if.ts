import { ChangeDetectionStrategy, Component, computed, input } from '@angular/core';
import { RouterLink } from '@angular/router';
import type { WouldBe } from '@lorvet/core/evidence';
import { counted } from '../../platform/many';
import type { WholeWay } from '../../platform/way-desk';
import { FOLD } from '../../ui/controls/fold';

const ORDER: readonly WouldBe['then'][] = ['is asked about it', 'changes with it', 'stays as it is', 'has it not'];
const SAYS: Readonly<Record<WouldBe['then'], string>> = {
  'is asked about it': 'Would ask you first',
  'changes with it': 'Would change with it',
  'stays as it is': 'Would stay as they are',
  'has it not': 'Have it not',
};

/** What would follow of a change, before it is made: versions, plans, and what was given. */
@Component({
  selector: 'lv-what-if',
  imports: [RouterLink, ...FOLD],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <lv-fold name="What would change if this were changed">
      <ng-template lvFolded>
        @if (tries().length) {
          <div class="tries">
            @for (t of tries(); track t.name) {
              <section [attr.aria-label]="t.name">
                <h3>{{ t.name }}</h3>
                <dl>
                  @for (g of t.groups; track g.says) {
                    <dt>{{ g.says }}</dt>
                    <dd>
                      {{ g.names }}
                      @for (w of g.why; track $index) {
                        <span class="small why">{{ w }}</span>
                      }
                    </dd>
                  }
                </dl>
              </section>
            }
          </div>
        } @else {
          <p>A version added it: changed there, it changes in {{ inVersions() }}.</p>
        }
        @if (plans().length) {
          <p>
            Plans that are not given out yet follow by themselves:
            @for (p of plans(); track p.id; let last = $last) {
              <a [routerLink]="['/hand-outs', p.id]">{{ p.title }}</a>{{ last ? '.' : ', ' }}
            }
          </p>
        }
        @for (g of given(); track g) {
          <p>{{ g }}</p>
        }
      </ng-template>
    </lv-fold>
  `,
  styles: `
    .tries {
      display: grid;
      grid-template-columns: repeat(auto-fit, minmax(min(100%, 300px), 1fr));
      gap: 14px;
    }
    h3 {
      font-size: 15px;
    }
    dt {
      margin-top: 6px;
      font-weight: 600;
    }
    dd {
      margin: 0;
    }
    .why {
      display: block;
    }
    p {
      margin-top: 8px;
    }
  `,
})
export class WhatIf {
  readonly whole = input.required<WholeWay>();

  protected readonly tries = computed(() => {
    const { follow } = this.whole();
    if (!follow) return [];
    return [
      { name: 'If its words were changed', all: follow.changed },
      { name: 'If it were taken out', all: follow.removed },
    ]
      .filter((t) => t.all.length)
      .map((t) => ({ name: t.name, groups: groupsOf(t.all) }));
  });

  /** The versions that have what one of them added. */
  protected readonly inVersions = computed(() =>
    this.whole()
      .way.versions.filter((v) => v.how !== 'left out')
      .map((v) => `“${v.name}”`)
      .join(', '),
  );

  /** Plans of versions that would not stay as they are. */
  protected readonly plans = computed(() => {
    const { follow, plans, way } = this.whole();
    const moved = new Set<string | null>(
      [...(follow?.changed ?? []), ...(follow?.removed ?? [])]
        .filter((x) => x.then === 'changes with it' || x.then === 'is asked about it')
        .map((x) => x.versionId),
    );
    if (way.isInMaster) moved.add(null);
    else for (const v of way.versions) moved.add(v.versionId);
    return plans.filter((p) => p.versionIds.some((id) => moved.has(id)));
  });

  protected readonly given = computed(() => {
    const { had } = this.whole().way;
    const of = (...stages: (typeof had)[number]['stage'][]) => had.filter((h) => stages.includes(h.stage)).length;
    const [fresh, begun, submitted] = [of('not begun'), of('begun'), of('submitted')];
    return [
      ...(fresh
        ? [
            counted(
              fresh,
              'One given sheet is not begun: it stays as it is, and an update can be sent.',
              '{n} given sheets are not begun: they stay as they are, and an update can be sent.',
            ),
          ]
        : []),
      ...(begun
        ? [
            counted(
              begun,
              'One is being worked on: it stays as it is; an update is offered where its answers keep their questions.',
              '{n} are being worked on: they stay as they are; an update is offered where their answers keep their questions.',
            ),
          ]
        : []),
      ...(submitted
        ? [counted(submitted, 'One was submitted, and stays as it was.', '{n} were submitted, and stay as they were.')]
        : []),
    ];
  });
}

function groupsOf(all: readonly WouldBe[]) {
  return ORDER.flatMap((then) => {
    const some = all.filter((x) => x.then === then);
    if (!some.length) return [];
    return [
      {
        says: SAYS[then],
        names: some.map((x) => `“${x.name}”`).join(', '),
        why: [...new Set(some.flatMap((x) => x.why))],
      },
    ];
  });
}
