import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import { ButtonDirective } from 'primeng/button';
import { Lock } from '../platform/lock';
import { WorkspaceStore } from '../store/workspace';
import { FOLD } from '../ui/controls/fold';
import { Notice } from '../ui/notice';
import { Code } from '../ui/picture-code';
import { counted } from '../platform/many';

/** Three pictures that a learner presses before their work opens. */
@Component({
  selector: 'lv-codes-panel',
  imports: [ButtonDirective, Code, ...FOLD],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <h2>Picture codes</h2>
    <p class="small">
      With a code, a learner presses three pictures before their work opens. A code keeps classmates out, nobody
      determined: there are 729.
    </p>
    <div class="row">
      @for (c of classes(); track c.id) {
        <button
          pButton
          severity="secondary"
          type="button"
          [disabled]="c.without.length === 0"
          (click)="draw(c.without)"
        >
          {{
            c.without.length === 0
              ? c.name + ': all have one'
              : 'Draw codes for ' + c.name + ' (' + c.without.length + ')'
          }}
        </button>
      } @empty {
        <p class="small">There are no classes yet.</p>
      }
    </div>
    @if (coded().length) {
      <lv-fold [name]="counted(coded().length, '{n} learner has a code', '{n} learners have a code')">
        <table>
          <thead>
            <tr>
              <th scope="col">Learner</th>
              <th scope="col">Pictures</th>
              <th scope="col"><span class="sr">Change</span></th>
            </tr>
          </thead>
          <tbody>
            @for (l of coded(); track l.id) {
              <tr>
                <td>{{ l.name }}</td>
                <td><lv-code [code]="lock.codes()[l.id] ?? []" /></td>
                <td class="row">
                  <button pButton severity="secondary" text type="button" (click)="draw([l.id])">
                    Another<span class="sr"> for {{ l.name }}</span></button
                  ><button pButton severity="secondary" text type="button" (click)="take(l.id)">
                    None<span class="sr"> for {{ l.name }}</span>
                  </button>
                </td>
              </tr>
            }
          </tbody>
        </table>
      </lv-fold>
    }
  `,
  styles: `
    :host {
      display: grid;
      gap: 8px;
      justify-items: start;
    }
    lv-fold {
      max-width: 680px;
    }
    td.row {
      gap: 2px;
    }
  `,
})
export class CodesPanel {
  protected readonly counted = counted;
  protected readonly lock = inject(Lock);
  private readonly work = inject(WorkspaceStore);
  private readonly notice = inject(Notice);
  protected readonly coded = computed(() =>
    this.work
      .people()
      .learners.filter((l) => this.lock.hasCode(l.id))
      .sort((a, b) => a.name.localeCompare(b.name)),
  );
  protected readonly classes = computed(() =>
    this.work.people().classes.map((c) => ({ ...c, without: c.learnerIds.filter((id) => !this.lock.hasCode(id)) })),
  );

  protected draw(ids: readonly string[]): Promise<void> {
    return this.change(Object.fromEntries(ids.map((id) => [id, this.lock.freshCode()])));
  }

  protected take(id: string): Promise<void> {
    return this.change({ [id]: null });
  }

  private async change(codes: Parameters<Lock['setCodes']>[0]): Promise<void> {
    try {
      await this.lock.setCodes(codes);
    } catch {
      this.notice.wrong(
        'The codes could not be written',
        'There is not enough room in this browser. Nothing was changed.',
      );
    }
  }
}
