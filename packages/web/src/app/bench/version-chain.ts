import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { Router, RouterLink } from '@angular/router';
import { LucideDynamicIcon } from '@lucide/angular';
import { type Heirs, madeOn, masterFrom, possibleBases, versionOf, waits, reviewOf } from '@lorvet/core';
import { ButtonDirective } from 'primeng/button';
import { Clock } from '../platform/clock';
import { BenchActions, ShelfActions } from '../store/actions';
import { SELECT } from '../ui/controls/select';
import { Notice } from '../ui/notice';
import { Removal } from '../ui/removal';
import { BenchView } from './bench-view';
import { RecipeBox } from './recipe-box';
import { counted } from '../platform/many';

/** What can become of a version as a whole: another basis, a recipe run on it, a master of its own, its removal. */
@Component({
  selector: 'lv-version-chain',
  imports: [ButtonDirective, LucideDynamicIcon, RecipeBox, RouterLink, ...SELECT],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @if (view.version(); as v) {
      <lv-select label="Made on" [value]="v.basis ?? ''" (chosen)="move($event)">
        @for (x of bases(); track x.id) {
          <lv-option [value]="x.id ?? ''" [label]="x.name" />
        }
      </lv-select>
      <lv-recipe-box />
      <a
        pButton
        severity="secondary"
        text
        [routerLink]="['/bench', view.familyId(), 'compare']"
        [queryParams]="{ right: v.id }"
        >Compare with another version</a
      >
      <button pButton severity="secondary" text type="button" (click)="toMaster()">Make it a master of its own</button>
      @if (asking()) {
        <div class="card ochre" role="alertdialog" aria-labelledby="heirs">
          <p id="heirs">
            {{
              counted(
                heirs().length,
                '“{heir}” is made on “{name}”. What becomes of it?',
                '{n} versions are made on “{name}”. What becomes of them?',
                { heir: heirs()[0]?.name ?? '', name: v.name }
              )
            }}
          </p>
          <div class="stack">
            <button pButton severity="secondary" type="button" (click)="remove('take-over')">
              Stay as they are, and take these adjustments over
            </button>
            <button pButton severity="secondary" type="button" (click)="remove('move-up')">
              Move up to what this one is made on, fitted anew
            </button>
            <button pButton severity="secondary" type="button" (click)="remove('go-too')">Go too</button>
            <button pButton severity="secondary" text type="button" (click)="asking.set(false)">Keep all</button>
          </div>
        </div>
      } @else {
        <button
          pButton
          severity="secondary"
          text
          type="button"
          (click)="heirs().length ? asking.set(true) : remove('take-over')"
        >
          <svg lucideIcon="trash-2"></svg>Remove this version
        </button>
      }
    }
  `,
  styles: `
    :host {
      display: grid;
      gap: 8px;
    }
    .card {
      display: grid;
      gap: 6px;
    }
  `,
})
export class VersionChain {
  protected readonly counted = counted;
  protected readonly view = inject(BenchView);
  private readonly clock = inject(Clock);
  private readonly notice = inject(Notice);
  private readonly removal = inject(Removal);
  private readonly router = inject(Router);
  protected readonly asking = signal(false);
  protected readonly bases = computed(() => {
    const family = this.view.family();
    const version = this.view.version();
    if (!family || !version) return [];
    return possibleBases(family, version.id).map((id) => ({
      id,
      name: id === null ? 'the master' : (versionOf(family, id)?.name ?? ''),
    }));
  });
  protected readonly heirs = computed(() => {
    const family = this.view.family();
    const version = this.view.version();
    return family && version ? madeOn(family, version.id) : [];
  });

  protected move(basis: string): void {
    const family = this.view.family();
    const version = this.view.version();
    if (!family || !version) return;
    const where = { familyId: family.id, versionId: version.id };
    this.view.work.dispatch(
      BenchActions.versionRebased({ ...where, basis: basis || null, stamp: this.view.work.stamp() }),
    );
    const now = this.view.family();
    const left = now ? reviewOf(now, version.id).filter(waits).length : 0;
    this.notice.done(
      'Moved to another basis',
      left ? `${left} of its adjustments wait in upkeep.` : 'All its adjustments fit.',
    );
  }

  protected toMaster(): void {
    const family = this.view.family();
    const version = this.view.version();
    if (!family || !version) return;
    const title = `${this.view.master()?.title ?? ''}, ${version.name}`.slice(0, 200);
    const made = { id: this.clock.newId(), at: this.clock.iso(), author: 'Teacher', title };
    const own = masterFrom(family, version.id, made);
    this.view.work.dispatch(ShelfActions.familyAdded({ family: own, label: `master from “${version.name}”` }));
    this.notice.done('A master of its own', 'It keeps where it came from. Undo takes it back.');
    void this.router.navigate(['/bench', own.id]);
  }

  protected async remove(heirs: Heirs): Promise<void> {
    const family = this.view.family();
    const version = this.view.version();
    this.asking.set(false);
    if (family && version) await this.removal.removeVersion(family, version, heirs);
  }
}
