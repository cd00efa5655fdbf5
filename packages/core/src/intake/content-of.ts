import type { Block } from '../activity/blocks';
import type { Making } from '../making';
import type { Part } from './material';

/** Words as a text block. A number or a dash at a line's beginning is what was written there, not the mark of a list. */
export const text = (m: Making, words: string): Block => ({
  id: m.newId(),
  kind: 'text',
  audience: 'learner',
  text: m.fit(
    words
      .replace(/^([^\S\n\r\u2028\u2029]*)(\d{1,9})([.)])(?=\s)/gm, '$1$2\\$3')
      .replace(/^([^\S\n\r\u2028\u2029]*)([-+])(?=\s)/gm, '$1\\$2'),
    20000,
  ),
});

/** What a part is by itself, without a question round it. */
export function contentBlock(p: Part, m: Making): { block: Block; says: string } | null {
  switch (p.kind) {
    case 'heading':
      return {
        block: { id: m.newId(), kind: 'heading', audience: 'learner', text: m.fit(p.text, 400), level: p.level },
        says: 'Heading',
      };
    case 'paragraph':
      return { block: text(m, p.marker ? `${p.marker} ${p.text}` : p.text), says: 'Text' };
    case 'list':
      return {
        block: {
          id: m.newId(),
          kind: 'text',
          audience: 'learner',
          text: m.fit(p.items.map((i) => `- ${i}`).join('\n'), 20000),
        },
        says: `List, ${p.items.length} entries`,
      };
    case 'picture':
      return {
        block: {
          id: m.newId(),
          kind: 'picture',
          audience: 'learner',
          assetId: `picture:${p.picture}`,
          alt: m.fit(p.alt, 1000),
        },
        says: 'Picture',
      };
    case 'table': {
      const rows = m.first(p.rows, 200, 'rows').map((r) => ({
        id: m.newId(),
        cells: m.first(r, 20, 'cells in a row').map((t) => ({ id: m.newId(), text: m.fit(t, 1000) })),
      }));
      return {
        block: { id: m.newId(), kind: 'table', audience: 'learner', caption: '', header: true, rows },
        says: `Table, ${rows.length} rows`,
      };
    }
    default:
      return null;
  }
}
