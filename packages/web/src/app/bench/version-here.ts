import { computed, inject, Injectable } from '@angular/core';
import {
  basisContent,
  classify,
  derive,
  findBlock,
  isChoice,
  isItem,
  keyIdsOf,
  originOf,
  proposeWords,
  questionNumbers,
} from '@lorvet/core';
import { BenchView, nameOf } from './bench-view';

/** The version on the Bench as its panel speaks of it: derived, judged, and the block that is chosen in it. */
@Injectable()
export class VersionHere {
  private readonly view = inject(BenchView);

  readonly state = computed(() => {
    const family = this.view.family();
    const version = this.view.version();
    if (!family || !version) return null;
    const derived = derive(family, version.id);
    return { family, version, derived, basis: basisContent(family, version), classified: classify(family, version.id) };
  });

  readonly chosen = computed(() => {
    const s = this.state();
    const found = s && findBlock(s.derived.whole, this.view.chosenInPanel() ?? '');
    if (!s || !found) return null;
    const { block, page } = found;
    const onBasis = findBlock(s.basis, block.id)?.block ?? block;
    const from = originOf(s.derived, block.id).from;
    const own = from !== 'master' && from.versionId === s.version.id;
    const most = isChoice(onBasis) ? onBasis.options.length : 0;
    const least = isChoice(onBasis) ? Math.max(1, keyIdsOf(onBasis).length) : 0;
    const bank = s.version.adjustments.find((a) => a.kind === 'word-bank' && a.page === page.id);
    return {
      block,
      page,
      onBasis,
      name: nameOf(block, questionNumbers(s.derived.whole.pages).get(block.id) ?? 0),
      hint: isItem(block) ? (block.hint ?? '') : null,
      counts: most && !own ? Array.from({ length: most - least + 1 }, (_, i) => most - i) : [],
      count: isChoice(block) ? block.options.length : 0,
      bank: bank?.kind === 'word-bank' ? bank.words.join(', ') : '',
      proposed: proposeWords(page),
    };
  });
}
