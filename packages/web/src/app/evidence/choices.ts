import { computed, inject, Injectable, signal } from '@angular/core';
import { z } from '@lorvet/core';
import type { Privacy } from '@lorvet/core/evidence';
import { Clock } from '../platform/clock';
import { keepSmall, keptOrLetGo } from '../ui/kept-or-let-go';
import { periodOf, type SpanId, SPANS } from './spans';

export const PRIVACIES: readonly { readonly id: Privacy; readonly name: string }[] = [
  { id: 'full', name: 'Everything' },
  { id: 'family', name: 'For the family, in plain words' },
  { id: 'without names', name: 'Without names' },
];
export const FORMS = [
  { id: 'pdf', name: 'PDF' },
  { id: 'docx', name: 'DOCX' },
  { id: 'csv', name: 'CSV' },
  { id: 'json', name: 'JSON' },
] as const;
export type FormId = (typeof FORMS)[number]['id'];

const KEPT = z.strictObject({
  span: z.enum(SPANS.map((s) => s.id)),
  from: z.string().max(10),
  until: z.string().max(10),
  privacy: z.enum(['full', 'family', 'without names']),
  form: z.enum(['pdf', 'docx', 'csv', 'json']),
});
type Kept = z.infer<typeof KEPT>;
const FIRST: Kept = { span: 'term', from: '', until: '', privacy: 'full', form: 'pdf' };

/** Of which time evidence is, for whose eyes and as what: chosen once, the same in all of its views. */
@Injectable({ providedIn: 'root' })
export class EvidenceChoices {
  private readonly clock = inject(Clock);
  private readonly key = keptOrLetGo('lorvet-evidence', KEPT);
  private readonly kept = signal(this.read());
  readonly span = computed(() => this.kept().span);
  readonly own = computed(() => ({ from: this.kept().from, until: this.kept().until }));
  readonly privacy = computed(() => this.kept().privacy);
  readonly form = computed(() => this.kept().form);
  readonly period = computed(() => periodOf(this.span(), this.clock.today(), this.own()), {
    equal: (a, b) => a.from === b.from && a.until === b.until,
  });
  readonly formName = computed(() => FORMS.find((f) => f.id === this.form())?.name ?? '');

  set(patch: Partial<Kept>): void {
    this.kept.update((k) => ({ ...k, ...patch }));
    keepSmall(this.key, JSON.stringify(this.kept()));
  }

  setSpan(span: SpanId): void {
    // One's own days begin with those that were chosen.
    this.set(span === 'own' ? { ...this.period(), span } : { span });
  }

  private read(): Kept {
    const kept = localStorage.getItem(this.key);
    return kept === null ? FIRST : KEPT.parse(JSON.parse(kept));
  }
}
