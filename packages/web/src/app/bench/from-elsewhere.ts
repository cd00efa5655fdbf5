import { ChangeDetectionStrategy, Component, computed, inject, model, signal } from '@angular/core';
import { latest, listOf, takenPart } from '@lorvet/core';
import { Dialog } from 'primeng/dialog';
import { Clock } from '../platform/clock';
import { BenchView } from './bench-view';

/** Brings pages of another activity into a version, at a chosen place; they follow their source, or stay as they are. */
@Component({
  selector: 'lv-from-elsewhere',
  imports: [Dialog],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <p-dialog
      header="Pages from another activity"
      [visible]="open()"
      (visibleChange)="open.set($event)"
      [modal]="true"
      [draggable]="false"
      closeAriaLabel="Close"
      [style]="{ width: '480px' }"
    >
      <form class="stack" (submit)="$event.preventDefault(); take(after.value, follow.checked)">
        <label class="field"
          >Activity
          <select #from (change)="familyId.set(from.value); picked.set([])">
            @for (f of families(); track f.id) {
              <option [value]="f.id" [selected]="f.id === source()?.id">{{ f.title }}</option>
            }
          </select>
        </label>
        <fieldset>
          <legend>Pages</legend>
          @for (p of source()?.pages ?? []; track p.id) {
            <label class="check"
              ><input type="checkbox" [checked]="picked().includes(p.id)" (change)="toggle(p.id)" />{{
                p.title || 'Page ' + ($index + 1)
              }}
              <span class="small">{{ p.blocks.length }} blocks</span></label
            >
          }
        </fieldset>
        <label class="field"
          >After
          <select #after>
            <option value="">nothing: they come first</option>
            @for (p of here(); track p.id) {
              <option [value]="p.id" [selected]="$last">{{ p.title }}</option>
            }
          </select>
        </label>
        <label class="check"
          ><input type="checkbox" #follow checked />Follow the activity: its corrections come here too</label
        >
        <div class="row end">
          <button class="btn" type="button" (click)="open.set(false)">Cancel</button>
          <button class="btn main" type="submit" [disabled]="!picked().length">
            Bring in {{ picked().length || '' }} {{ picked().length === 1 ? 'page' : 'pages' }}
          </button>
        </div>
      </form>
    </p-dialog>
  `,
  styles: `
    fieldset {
      max-height: 240px;
      overflow: auto;
      margin: 0;
      padding: 4px 10px 6px;
      border: 1px solid var(--line);
      border-radius: var(--r);
    }
    legend {
      font-size: 13px;
      font-weight: 600;
      color: var(--ink-2);
    }
    .end {
      justify-content: flex-end;
    }
  `,
})
export class FromElsewhere {
  readonly open = model(false);
  private readonly view = inject(BenchView);
  private readonly clock = inject(Clock);
  protected readonly familyId = signal('');
  protected readonly picked = signal<readonly string[]>([]);
  protected readonly families = computed(() =>
    listOf(this.view.work.families())
      .filter((f) => f.id !== this.view.familyId())
      .map((f) => ({ id: f.id, title: latest(f).content.title })),
  );
  protected readonly source = computed(() => {
    const id = this.familyId() || this.families()[0]?.id;
    const family = id ? this.view.work.families()[id] : undefined;
    return family ? { id: family.id, revision: latest(family).n, ...latest(family).content } : undefined;
  });
  protected readonly here = computed(() => this.view.derived()?.content.pages ?? []);

  protected toggle(id: string): void {
    const now = this.picked();
    this.picked.set(now.includes(id) ? now.filter((x) => x !== id) : [...now, id]);
  }

  protected take(place: string, follow: boolean): void {
    const source = this.source();
    if (!source) return;
    let after = place || null;
    const drafts = source.pages
      .filter((p) => this.picked().includes(p.id))
      .flatMap((p) => {
        const from = { familyId: source.id, revision: source.revision, content: source };
        const taken = takenPart(from, p.id, this.clock.newId(), null);
        if (!taken) return [];
        const draft = { kind: 'from-activity' as const, after, follow, ...taken };
        after = taken.part.what === 'page' ? taken.part.page.id : after;
        return [draft];
      });
    const name = `${drafts.length} ${drafts.length === 1 ? 'page' : 'pages'} from “${source.title}”`;
    this.view.recorded({ did: 'adjust', drafts, name }, name);
    this.picked.set([]);
    this.open.set(false);
  }
}
