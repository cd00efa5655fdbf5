import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import { RouterLink } from '@angular/router';
import { isItem, latest, type Place, waysToGive, type WayToGive } from '@lorvet/core';
import { ButtonDirective } from 'primeng/button';
import { CheckBox } from '../../ui/controls/check';
import { Radios } from '../../ui/controls/radios';
import { PlanHere } from './plan-here';

const SAYS: Readonly<Record<WayToGive, string>> = {
  'one-each': 'One each: everybody their own copy',
  'per-group': 'One per group: those in it write in one copy',
  'place-each': 'One for all, with a place for each',
  together: 'One for all, that all write in together',
  'to-read': 'To read: nobody can write in it',
};

/** In which way it is given. What does not suit the activity or the audience says why, and cannot be chosen. */
@Component({
  selector: 'lv-plan-way',
  imports: [ButtonDirective, CheckBox, Radios, RouterLink],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @if (here.plan(); as h) {
      @if (here.isDraft()) {
        <lv-radios legend="Way to give" [options]="ways()" [value]="h.way" (chosen)="choose($event)" />
      } @else {
        <p>{{ SAYS[h.way] }}</p>
      }
      @if (h.way === 'place-each') {
        <fieldset>
          <legend>A place for each</legend>
          <p class="small">Everybody has these pages of their own:</p>
          @for (p of pages(); track p.id) {
            <lv-check
              [on]="place().pageIds.includes(p.id)"
              [disabled]="!here.isDraft()"
              (turned)="turnPage(p.id, $event)"
              >{{ p.name }}</lv-check
            >
          }
          <lv-check [on]="place().names" (turned)="set({ names: $event })"
            >Names over the places and in the index</lv-check
          >
          <lv-check [on]="place().isOpen" (turned)="set({ isOpen: $event })"
            >Everybody can look at all places, as in an album</lv-check
          >
          @if (place().isOpen) {
            <lv-check [on]="place().comments" (turned)="set({ comments: $event })"
              >They may write a few words to each other; you read them first</lv-check
            >
          }
          <p class="small">{{ seen() }}</p>
          <a pButton severity="secondary" [routerLink]="['/hand-outs', h.id, 'places']">Lay the index out</a>
        </fieldset>
      }
    }
  `,
  styleUrl: './panel.css',
})
export class PlanWay {
  protected readonly here = inject(PlanHere);
  protected readonly SAYS = SAYS;
  protected readonly ways = computed(() => {
    const [plan, family] = [this.here.plan(), this.here.family()];
    if (!plan || !family) return [];
    return waysToGive(plan, family, this.here.people()).map(({ way, why }) => ({
      id: way,
      label: SAYS[way],
      // What is chosen can be left, and what only asks to be looked at can be chosen.
      ...(why && way !== plan.way && way !== 'to-read' && way !== 'one-each' ? { why } : {}),
    }));
  });
  protected readonly place = computed(
    (): Place => this.here.plan()?.place ?? { pageIds: [], names: true, isOpen: false, comments: false, remarks: [] },
  );
  protected readonly pages = computed(() => {
    const family = this.here.family();
    return family
      ? latest(family).content.pages.map((p, i) => ({
          id: p.id,
          name: `Page ${i + 1}${p.title ? `: ${p.title}` : ''}`,
          asks: p.blocks.some(isItem),
        }))
      : [];
  });

  protected choose(to: string): void {
    const way = to as WayToGive;
    // A place begins with the pages that ask for something.
    const asking = this.pages().flatMap((p) => (p.asks ? [p.id] : []));
    const isNew = way === 'place-each' && this.place().pageIds.length === 0;
    const place = isNew ? { place: { ...this.place(), pageIds: asking } } : {};
    this.here.change({ way, ...place }, 'way to give');
  }

  protected set(patch: Partial<Place>): void {
    this.here.change({ place: { ...this.place(), ...patch } }, 'places');
  }

  protected turnPage(id: string, on: boolean): void {
    const all = this.pages().map((p) => p.id);
    this.set({ pageIds: all.filter((x) => (x === id ? on : this.place().pageIds.includes(x))) });
  }

  /** What learners will see of each other's places, in words. */
  protected seen(): string {
    const { isOpen, names, comments } = this.place();
    if (!isOpen) return 'Everybody sees their own place and no other.';
    return `All see all places${names ? ', with names' : ', without names'}${comments ? '; words to each other come to you first' : ''}.`;
  }
}
