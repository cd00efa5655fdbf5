import { type Block, wordsOf } from './blocks';
import { gapParts } from './blocks/gaps';
import { plainRich } from './rich';

/** Everything a learner reads in a block, a line each, without marks of style. */
export function plainTextOf(block: Block): string {
  const lines = wordsOf(block).map((w) => w.text);
  if (block.kind === 'text' || block.kind === 'passage') return lines.map(plainRich).filter(Boolean).join('\n');
  if (block.kind === 'gaps')
    return [
      ...lines.slice(0, -1),
      gapParts(block.text, block.gaps)
        .map((p) => ('text' in p ? p.text : '…'))
        .join(''),
    ].join('\n');
  if (block.kind === 'word-bank') lines.push(...block.words);
  return lines.filter(Boolean).join('\n');
}
