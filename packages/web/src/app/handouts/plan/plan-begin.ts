import { inject, Injectable } from '@angular/core';
import { Router } from '@angular/router';
import { derive, type Id, latest, nameForSupports, rulesForSupports, runRecipe } from '@lorvet/core';
import { Clock } from '../../platform/clock';
import { Words } from '../../platform/words';
import { BenchActions } from '../../store/actions';
import { WorkspaceStore } from '../../store/workspace';
import { drawSwatch } from '../../ui/draw-swatch';
import { PlanHere } from './plan-here';

/** Begins a version where none fits a learner. */
@Injectable()
export class PlanBegin {
  private readonly here = inject(PlanHere);
  private readonly work = inject(WorkspaceStore);
  private readonly clock = inject(Clock);
  private readonly words = inject(Words);
  private readonly router = inject(Router);

  /** A version on the nearest one, with the supports that a learner's card agrees and it lacks, as far as rules make them. */
  async begin(learnerId: Id): Promise<void> {
    const family = this.here.family();
    const s = this.here.suggestions().get(learnerId);
    if (!family || s?.versionId === undefined) return;
    const id = this.clock.newId();
    const fresh = {
      id,
      name: nameForSupports(s.missing),
      swatch: drawSwatch(this.clock, [family.swatch, ...family.versions.map((v) => v.swatch)]),
      purpose: '',
      basis: s.versionId,
      upTo: latest(family).n,
      adjustments: [],
      upkeepLog: [],
    };
    const draft = { ...family, versions: [...family.versions, fresh] };
    const lexicon = await this.words.lexicon(derive(draft, id).content.pages);
    if (this.here.family() !== family) return;
    const stamp = { at: this.clock.iso(), author: 'Teacher', newId: () => this.clock.newId() };
    const recipe = { id: 'begin', name: fresh.name, purpose: '', rules: rulesForSupports(s.missing) };
    const made = runRecipe(draft, id, recipe, stamp, lexicon).version;
    const { recipes: _, ...rest } = made;
    const adjustments = made.adjustments.map(({ recipe: __, ...a }) => a) as typeof made.adjustments;
    this.work.dispatch(BenchActions.versionAdded({ familyId: family.id, version: { ...rest, adjustments } }));
    await this.router.navigate(['/bench', family.id, id]);
  }
}
