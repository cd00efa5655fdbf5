import { ChangeDetectionStrategy, Component, inject } from '@angular/core';
import { Router, RouterLink } from '@angular/router';
import { ButtonDirective } from 'primeng/button';
import { WorkspaceStore } from '../store/workspace';

/** Opens the Bench where it was left, or on the first family. */
@Component({
  selector: 'lv-bench-door',
  imports: [ButtonDirective, RouterLink],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <div class="empty">
      <h1>Nothing on the Bench</h1>
      <p>A master comes first: an activity as you would give it to everybody. Versions are made on it here.</p>
      <a pButton routerLink="/shelf">Begin one on the Shelf</a>
    </div>
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
