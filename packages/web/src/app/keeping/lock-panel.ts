import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { LEAST_LETTERS, Lock, type Tried } from '../platform/lock';
import { WorkspaceStore } from '../store/workspace';
import { Notice } from '../ui/notice';
import { pauseOf } from '../ui/pause';
import { Code } from '../ui/picture-code';

/** The passphrase that closes every place but the desk, and the learners' picture codes. */
@Component({
  selector: 'lv-lock-panel',
  imports: [Code],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <h2>Lock</h2>
    <p>
      {{
        lock.isSet()
          ? 'A passphrase is set: opening the Learners’ desk closes every other place, in every tab, until it is typed.'
          : 'With a passphrase, opening the Learners’ desk closes every other place until it is typed: you can hand the machine over.'
      }}
    </p>
    <form class="row" (submit)="$event.preventDefault(); set(present, first, again)">
      <label class="field" [hidden]="!lock.isSet()"
        >Passphrase now
        <input #present class="input" type="password" autocomplete="current-password" [maxLength]="200" />
      </label>
      <label class="field"
        >{{ lock.isSet() ? 'New passphrase' : 'Passphrase' }}
        <input #first class="input" type="password" autocomplete="new-password" [maxLength]="200" />
      </label>
      <label class="field"
        >The same again
        <input #again class="input" type="password" autocomplete="new-password" [maxLength]="200" />
      </label>
      <button class="btn" type="submit" [disabled]="busy() || pause.seconds() > 0">
        {{ lock.isSet() ? 'Change it' : 'Set the lock' }}
      </button>
      @if (lock.isSet()) {
        <button class="btn quiet" type="button" [disabled]="busy() || pause.seconds() > 0" (click)="remove(present)">
          Take the lock away
        </button>
      }
    </form>
    <p class="wrong" role="alert">{{ says() }}</p>
    <details>
      <summary>What it protects from, and what not</summary>
      <p class="small">
        It keeps whoever sits at the desk from your places: by addresses, Back, keys, a reload or another tab. It is a
        door, not a safe: what is kept here is not encrypted, so somebody who opens the browser’s own developer tools,
        or this account’s files, can read it, and clearing the browser’s data takes the lock away with everything else.
        Where that matters, give learners an account of their own on this machine, or a browser profile of their own,
        and keep yours to yourself. A forgotten passphrase cannot be looked up: only a backup brings your things back.
      </p>
    </details>
    <h3>Picture codes</h3>
    <p class="small">
      With a code, a learner presses three pictures before their work opens. A code keeps classmates out, nobody
      determined: there are 729.
    </p>
    <div class="row">
      @for (c of classes(); track c.id) {
        <button class="btn" type="button" [disabled]="c.without.length === 0" (click)="draw(c.without)">
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
      <details>
        <summary>{{ coded().length }} learner{{ coded().length === 1 ? ' has a code' : 's have a code' }}</summary>
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
                  <button class="btn quiet" type="button" (click)="draw([l.id])">
                    Another<span class="sr"> for {{ l.name }}</span></button
                  ><button class="btn quiet" type="button" (click)="take(l.id)">
                    None<span class="sr"> for {{ l.name }}</span>
                  </button>
                </td>
              </tr>
            }
          </tbody>
        </table>
      </details>
    }
  `,
  styles: `
    :host {
      display: grid;
      gap: 8px;
      justify-items: start;
    }
    .row {
      align-items: end;
    }
    .wrong {
      color: var(--madder);
    }
    .wrong:empty {
      display: none;
    }
    details,
    details p {
      max-width: 680px;
    }
    td.row {
      gap: 2px;
    }
  `,
})
export class LockPanel {
  protected readonly lock = inject(Lock);
  private readonly work = inject(WorkspaceStore);
  private readonly notice = inject(Notice);
  protected readonly busy = signal(false);
  protected readonly pause = pauseOf(() => this.lock.pause());
  private readonly problem = signal('');
  protected readonly says = computed(() => {
    const s = this.pause.seconds();
    return s > 0 ? `That was not the passphrase. Try again in ${s} second${s === 1 ? '' : 's'}.` : this.problem();
  });
  protected readonly coded = computed(() =>
    this.work
      .people()
      .learners.filter((l) => this.lock.hasCode(l.id))
      .sort((a, b) => a.name.localeCompare(b.name)),
  );
  protected readonly classes = computed(() =>
    this.work.people().classes.map((c) => ({ ...c, without: c.learnerIds.filter((id) => !this.lock.hasCode(id)) })),
  );

  protected async set(present: HTMLInputElement, first: HTMLInputElement, again: HTMLInputElement): Promise<void> {
    if (first.value.length < LEAST_LETTERS)
      return this.wrong(
        `A passphrase has ${LEAST_LETTERS} characters or more: three or four words are easy to keep.`,
        first,
      );
    if (first.value !== again.value) return this.wrong('The two are not the same. Type it twice alike.', again);
    const was = this.lock.isSet();
    if (await this.tried(() => this.lock.choose(first.value, present.value), present)) {
      for (const field of [present, first, again]) field.value = '';
      this.notice.done(
        was ? 'The passphrase is changed' : 'The lock is set',
        'Opening the Learners’ desk closes every other place.',
      );
    }
  }

  protected async remove(present: HTMLInputElement): Promise<void> {
    if (present.value === '') return this.wrong('Type the passphrase as it is now first.', present);
    if (await this.tried(() => this.lock.takeAway(present.value), present)) {
      present.value = '';
      this.notice.done('The lock is taken away', 'The desk closes nothing any more.');
    }
  }

  protected async draw(ids: readonly string[]): Promise<void> {
    await this.lock.setCodes(Object.fromEntries(ids.map((id) => [id, this.lock.freshCode()])));
  }

  protected async take(id: string): Promise<void> {
    await this.lock.setCodes({ [id]: null });
  }

  private wrong(says: string, field: HTMLInputElement): void {
    this.problem.set(says);
    field.focus();
  }

  private async tried(work: () => Promise<Tried>, field: HTMLInputElement): Promise<boolean> {
    this.busy.set(true);
    this.problem.set('');
    try {
      const said = await work();
      if (said !== 'open') this.wrong('That is not the passphrase as it is now.', field);
      return said === 'open';
    } catch {
      this.problem.set('It could not be written: there is not enough room in this browser. Nothing was changed.');
      return false;
    } finally {
      this.busy.set(false);
      this.pause.look();
    }
  }
}
