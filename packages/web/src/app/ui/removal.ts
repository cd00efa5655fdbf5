import { inject, Injectable } from '@angular/core';
import type { Family, Heirs, Id, Removed, Version } from '@lorvet/core';
import { type Asked, Removing } from '../store/removing';
import { Ask } from './ask';
import { Notice } from './notice';

const NAMES: Readonly<Record<Removed['what'], string>> = {
  'hand-out': 'hand-out',
  activity: 'activity',
  version: 'version',
  learner: 'learner',
  class: 'class',
  group: 'group',
  audience: 'audience',
  template: 'template',
  recipe: 'recipe',
  objective: 'objective',
};

/** Removing as a person does it: asked first where learners' work or what they have hangs on it, and said afterwards. */
@Injectable({ providedIn: 'root' })
export class Removal {
  private readonly removing = inject(Removing);
  private readonly ask = inject(Ask);
  private readonly notice = inject(Notice);

  /** True where it was removed. */
  async remove(what: Exclude<Removed['what'], 'version'>, id: Id): Promise<boolean> {
    const asked = this.removing.asked(what, id);
    if (!(await this.sure(what, asked))) return false;
    await this.removing.remove(what, id);
    this.done(asked);
    return true;
  }

  /** Of one kind, asked once: each waits under Keeping by itself. */
  async several(what: Exclude<Removed['what'], 'version'>, ids: readonly Id[]): Promise<boolean> {
    const [first] = ids;
    if (ids.length < 2) return first !== undefined && (await this.remove(what, first));
    const many = `${ids.length} ${NAMES[what]}s`;
    const isSure = await this.ask.sure({
      title: `Remove ${many}?`,
      says: 'Each waits under Keeping, and comes back from there whole.',
      yes: `Remove the ${many}`,
    });
    if (!isSure) return false;
    for (const id of ids) await this.removing.remove(what, id);
    this.notice.done(`${many} were removed`, 'Undo brings them back one by one now, Keeping later.');
    return true;
  }

  async removeVersion(family: Family, version: Version, heirs: Heirs): Promise<boolean> {
    const asked = this.removing.askedVersion(family, version, heirs);
    if (!(await this.sure('version', asked))) return false;
    this.removing.removeVersion(family, version, heirs);
    this.done(asked);
    return true;
  }

  private async sure(what: Removed['what'], asked: Asked): Promise<boolean> {
    if (!asked.heavy) return true;
    return await this.ask.sure({
      title: `Remove ${NAMES[what]} “${asked.title}”?`,
      says: `${asked.says ? `With it: ${asked.says}. ` : ''}It waits under Keeping, and comes back from there whole.`,
      yes: `Remove the ${NAMES[what]}`,
    });
  }

  private done({ title, says }: Asked): void {
    this.notice.done(`“${title}” was removed`, `${says ? `${says}. ` : ''}Undo brings it back now, Keeping later.`);
  }
}
