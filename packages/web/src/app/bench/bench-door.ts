import { ChangeDetectionStrategy, Component, inject } from '@angular/core';
import { Router, RouterLink } from '@angular/router';
import { ButtonDirective } from 'primeng/button';
import { WorkspaceStore } from '../store/workspace';
import { Empty } from '../ui/empty';

/** Opens the Bench where it was left, or on the first family. */
@Component({
  selector: 'lv-bench-door',
  imports: [Empty, ButtonDirective, RouterLink],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <lv-empty alone heading="Nothing on the Bench"
      >A master comes first: an activity as you would give it to everybody. Versions are made on it here.
      <a pButton routerLink="/shelf">Begin one on the Shelf</a></lv-empty
    >
  `,
})
export class BenchDoor {
  constructor() {
    const families = inject(WorkspaceStore).families();
    const [familyId, versionId] = (localStorage.getItem('lorvet-bench') ?? '').split('/');
    const there = familyId ? families[familyId] : undefined;
    const first = there ?? Object.values(families)[0];
    if (!first) return;
    const version = first === there && first.versions.some((v) => v.id === versionId) ? [versionId] : [];
    void inject(Router).navigate(['/bench', first.id, ...version], { replaceUrl: true });
  }
}
