import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { RouterLink } from '@angular/router';
import { type Checked, checkedInSteps, type Doing, DOINGS, type Entry } from '@lorvet/core';
import { ButtonDirective } from 'primeng/button';
import { InputText } from 'primeng/inputtext';
import { download } from '../../platform/download';
import { localDay } from '../../platform/local-day';
import { counted } from '../../platform/many';
import { ChronicleStore, type KeptChronicle } from '../../platform/storage/chronicle-store';
import { KeepingSync } from '../../store/keeping-sync';
import { Recording } from '../../store/recording';
import { DateField } from '../../ui/controls/date';
import { SELECT } from '../../ui/controls/select';
import { Empty } from '../../ui/empty';
import { inTurns } from '../../ui/in-turns';
import { TABLE } from '../../ui/table/table';
import { whenIn } from '../../ui/when';
import { EvidenceHead } from '../evidence-head';
import { wayTo } from './way-to';

const COLUMNS = [
  { field: 'n', name: 'No.' },
  { field: 'at', name: 'When' },
  { field: 'by', name: 'By' },
  { field: 'did', name: 'What' },
  { field: 'says', name: 'In words' },
] as const;

const TONES: Readonly<Partial<Record<Doing, string>>> = {
  given: 'moss',
  decided: 'moss',
  released: 'moss',
  removed: 'madder',
  restored: 'ochre',
  undone: 'ochre',
};

/** What was done, by whom and when: searched, filtered, taken out as a file. Nothing in it can be changed. */
@Component({
  selector: 'lv-record-view',
  imports: [ButtonDirective, DateField, Empty, EvidenceHead, InputText, RouterLink, ...SELECT, ...TABLE],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <div class="page">
      <lv-evidence-head heading="The record" [bare]="true" />
      @if (kept(); as k) {
        @if (all().length || k.lost.length) {
          <div class="row filters card">
            <label class="field grow"
              >Search
              <input pInputText #s maxlength="120" [value]="sought()" (input)="sought.set(s.value)" />
            </label>
            <lv-select label="What" [value]="did()" (chosen)="did.set($event)">
              <lv-option value="" label="Everything" />
              @for (d of doings; track d) {
                <lv-option [value]="d" [label]="d" />
              }
            </lv-select>
            <lv-date label="From" [value]="from()" (told)="from.set($event)" />
            <lv-date label="Until" [value]="until()" (told)="until.set($event)" />
            <button pButton severity="secondary" type="button" [disabled]="!rows().length" (click)="save()">
              {{ counted(rows().length, '{n} entry as CSV', '{n} entries as CSV') }}
            </button>
          </div>
          @if (checked(); as c) {
            @if (c.ok && !k.lost.length) {
              <p class="card moss" role="status">
                {{ counted(c.n, 'The chain is whole: {n} entry,', 'The chain is whole: {n} entries,') }} each as it was
                written.
              </p>
            } @else {
              <p class="card madder" role="alert">
                The chain is broken{{ c.ok ? '' : ' at entry ' + c.at }}.
                {{ c.ok ? 'A part of it cannot be read back.' : c.why }} What stands here was changed from outside, or
                the storage was damaged. Entries before it are as they were written.
              </p>
            }
          }
          <p-table
            lvTable="record"
            says="The record"
            [rowHeight]="40"
            seen="62vh"
            dataKey="n"
            [columns]="columns"
            [value]="rows()"
          >
            <ng-template #header let-shown><tr lvColumns [columns]="shown"></tr></ng-template>
            <ng-template #body let-r let-shown="columns">
              <tr>
                @for (c of shown; track c.field) {
                  @switch (c.field) {
                    @case ('n') {
                      <td>{{ r.n }}</td>
                    }
                    @case ('at') {
                      <td class="when">{{ r.when }}</td>
                    }
                    @case ('by') {
                      <td>{{ r.by }}</td>
                    }
                    @case ('did') {
                      <td>
                        <span class="tag {{ r.tone }}">{{ r.did }}</span>
                      </td>
                    }
                    @case ('says') {
                      <td class="says">
                        @if (r.way; as w) {
                          <a [routerLink]="w.path" [queryParams]="w.query">{{ r.says }}</a>
                        } @else {
                          {{ r.says }}
                        }
                      </td>
                    }
                  }
                }
              </tr>
            </ng-template>
          </p-table>
        } @else {
          <lv-empty heading="Nothing is written yet"
            >What is given, changed, decided, marked, released, removed or restored from now on stands here. Nobody can
            change it afterwards.</lv-empty
          >
        }
      }
    </div>
  `,
  styles: `
    .page {
      max-width: 1240px;
      margin: 0 auto;
      padding: 14px 16px;
      display: grid;
      grid-template-columns: minmax(0, 1fr);
      gap: 12px;
    }
    .filters {
      align-items: end;
      gap: 10px 14px;
    }
    lv-date {
      width: 160px;
    }
    lv-select {
      min-width: 140px;
    }
    .when {
      white-space: nowrap;
    }
    .says {
      overflow-wrap: anywhere;
    }
  `,
})
export class RecordView {
  private readonly sync = inject(KeepingSync);
  private readonly recording = inject(Recording);
  private readonly chronicle = inject(ChronicleStore);
  protected readonly counted = counted;
  protected readonly doings = DOINGS;
  protected readonly columns = [...COLUMNS];
  protected readonly sought = signal('');
  protected readonly did = signal('');
  protected readonly from = signal('');
  protected readonly until = signal('');

  protected readonly kept = signal<KeptChronicle | null>(null);
  /** The newest first. */
  protected readonly all = computed(() => (this.kept()?.pages ?? []).flatMap((p) => p.entries).reverse());
  protected readonly checked = inTurns<Checked>(() => {
    const k = this.kept();
    return k && checkedInSteps(k.pages, k.end);
  });
  private readonly matching = computed(() => {
    const [sought, did, from, until] = [this.sought().trim().toLowerCase(), this.did(), this.from(), this.until()];
    return this.all().filter(
      (e) =>
        (!did || e.did === did) &&
        (!from || localDay(e.at) >= from) &&
        (!until || localDay(e.at) <= until) &&
        (!sought || `${e.says} ${e.by} ${e.did}`.toLowerCase().includes(sought)),
    );
  });
  protected readonly rows = computed(() =>
    this.matching().map((e) => ({
      ...{ n: e.n, at: e.at, by: e.by, did: e.did, says: e.says },
      when: whenIn(e.at),
      tone: TONES[e.did] ?? '',
      way: wayTo(e.of),
    })),
  );

  constructor() {
    void this.read();
  }

  protected async save(): Promise<void> {
    const { chronicleCsv } = await import('@lorvet/core/evidence');
    const entries: readonly Entry[] = [...this.matching()].reverse();
    download(new Blob([chronicleCsv(entries)], { type: 'text/csv;charset=utf-8' }), 'record.csv');
  }

  private async read(): Promise<void> {
    await this.recording.flush();
    this.kept.set(await this.chronicle.read(this.sync.generation() ?? ''));
  }
}
