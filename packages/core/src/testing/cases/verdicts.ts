import type { Content } from '../../activity/activity';
import { demandSchema } from '../../activity/block';
import { type Block, blockSchema, isItem } from '../../activity/blocks';
import { FAMILY_FORMAT, type Family, familySchema } from '../../activity/family-schema';
import { skillSchema } from '../../activity/skill';
import { answerBehind } from '../../adjust/other-answer';
import { snapshotChoices } from '../../adjust/fewer-choices';
import { questionBehind } from '../../adjust/hint';
import { type Adjustment, adjustmentSchema } from '../../adjust/registry';
import { fingerprint } from '../../activity/fingerprint';
import { keyWordsOf } from '../../activity/blocks';
import { classify } from '../../verdict/classify';
import { type CaseSet, listOf } from './case-set';

const TURNED = /\b(?:still|without)\b|^Can\b/;

/** What stands before the colon, and what behind it. */
function headed(text: string): [string, string] {
  const at = text.indexOf(':');
  return at < 0 ? [text.trim(), ''] : [text.slice(0, at).trim(), text.slice(at + 1).trim()];
}

/** A question and its key: "How many legs? = ten". */
function asked(text: string): [string, string] {
  const at = text.lastIndexOf(' = ');
  return at < 0 ? [text, ''] : [text.slice(0, at).trim(), text.slice(at + 3).trim()];
}

/**
 * One part of a page out of a line: "text: …", "short: question = key; key", "number: question = 7 limpets",
 * "choice: question = *a | b", "long: question = model answer". In brackets behind the kind: demand, points ("3p"), the number of
 * its objective ("o2"), or "-" for none.
 */
export function blockOf(line: string, id: string): Block {
  const [head, body] = headed(line);
  const [, kind = '', inside = ''] = /^([a-z]+)(?:\(([^)]*)\))?$/.exec(head) ?? [];
  const marks = listOf(inside, ',').filter(Boolean);
  const demand = marks.find((m) => demandSchema.safeParse(m).success) ?? 'recall';
  const points = Number(marks.find((m) => /^\d+p$/.test(m))?.slice(0, -1) ?? 1);
  const objective = marks.find((m) => /^o\d+$/.test(m)) ?? 'o1';
  const [prompt, key] = asked(body);
  const item = {
    prompt,
    demand,
    points,
    ...(marks.includes('optional') ? { optional: true } : {}),
    ...(marks.includes('-') ? {} : { objectiveId: objective }),
  };
  const made = (rest: object) => blockSchema.parse({ id, audience: 'learner', ...rest });
  switch (kind) {
    case 'text':
    case 'passage':
      return made({ kind, title: '', text: body });
    case 'instruction':
      return made({ kind, text: body });
    case 'picture':
      return made({ kind, assetId: 'x', alt: body });
    case 'audio':
      return made({ kind, assetId: 'x', title: body, transcript: '' });
    case 'short':
      return made({ ...item, kind: 'short-text', key: listOf(key, ';').filter(Boolean) });
    case 'number': {
      const [value = '', ...unit] = key.split(' ');
      return made({ ...item, kind: 'number', key: Number(value), unit: unit.join(' ') });
    }
    case 'choice':
    case 'many': {
      const options = listOf(key).map((t, i) => ({ id: `${id}-${i + 1}`, text: t.replace(/^\*/, '') }));
      const keys = listOf(key).flatMap((t, i) => (t.startsWith('*') ? [`${id}-${i + 1}`] : []));
      return kind === 'choice'
        ? made({ ...item, kind: 'single-choice', options, key: keys[0] ?? '' })
        : made({ ...item, kind: 'multiple-choice', options, key: keys });
    }
    case 'long':
      return made({ ...item, kind: 'long-text', key, lines: 4 });
    case 'gaps': {
      let n = 0;
      const gaps: { id: string; key: string[]; others: string[] }[] = [];
      const text = body.replace(/\{([^{}]*)\}/g, (_, k: string) => {
        gaps.push({ id: `g${++n}`, key: [k], others: [] });
        return `{g${n}}`;
      });
      return made({ ...item, prompt: 'Fill the gaps.', kind: 'gaps', text, gaps, mode: 'typed', extra: [] });
    }
    default:
      throw new Error(`docs/cases: “${kind}” is no part of a page.`);
  }
}

/** A page out of its parts, parted by "||". */
export const contentOf = (parts: string, objectives = ''): Content => ({
  title: 'Case',
  subject: '',
  ages: '',
  objectives: listOf(objectives, '||')
    .filter(Boolean)
    .map((o, i) => {
      const [text = '', protects] = listOf(o, '::');
      return {
        id: `o${i + 1}`,
        text,
        ...(protects === undefined
          ? {}
          : {
              protects: listOf(protects, '+')
                .filter(Boolean)
                .map((s) => skillSchema.parse(s)),
            }),
      };
    }),
  pages: listOf(parts, '=====').map((page, p) => ({
    id: `p${p + 1}`,
    title: 'Page',
    orientation: 'portrait' as const,
    blocks: listOf(page, '||').map((line, i) => blockOf(line, `b${p * 100 + i + 1}`)),
  })),
});

const stamp = { author: 'case', at: '2026-01-01T00:00:00.000Z' };

/** An adjustment out of a line: "hint 2: …", "leave out 1, 3", "word bank: crab, gull", "answer 2 by voice". */
export function adjustmentOf(line: string, content: Content, id: string): Adjustment {
  const [head, body] = headed(line);
  const [, verb = '', at = ''] = /^([a-z]+(?: [a-z]+)*) ?(\d[\d, ]*)?$/.exec(head.split(' by ')[0] ?? '') ?? [];
  const blocks = content.pages.flatMap((p) => p.blocks);
  const page = content.pages[0]?.id ?? '';
  const target = (n = at): Block => {
    const b = blocks[Number(n) - 1];
    if (!b) throw new Error(`docs/cases: there is no part ${n} for “${line}”.`);
    return b;
  };
  const item = () => {
    const b = target();
    if (!isItem(b)) throw new Error(`docs/cases: part ${at} is no question.`);
    return b;
  };
  const made = (rest: object) => adjustmentSchema.parse({ ...stamp, id, ...rest });
  const insert = (block: Block, kind = 'insert-block') => made({ kind, page, after: null, block });
  switch (verb) {
    case 'hint':
      return made({ kind: 'hint', target: item().id, text: body, was: questionBehind(item()) });
    case 'reword': {
      const b = target();
      const was = isItem(b) ? b.prompt : 'text' in b ? b.text : '';
      return made({ kind: 'reword', target: b.id, field: isItem(b) ? 'prompt' : 'text', was, now: body });
    }
    case 'starters':
      return made({ kind: 'sentence-starters', target: item().id, starters: listOf(body), was: [] });
    case 'leave out':
      return made({ kind: 'leave-out', what: 'block', target: target().id, was: fingerprint(target()) });
    case 'keep pages': {
      const pages = listOf(at, ',').map((n) => `p${n}`);
      return made({ kind: 'keep-pages', pages, known: content.pages.map((p) => p.id) });
    }
    case 'keep only': {
      const keep = listOf(at, ',').map((n) => target(n).id);
      return made({ kind: 'choose-items', pages: [], keep, known: blocks.filter(isItem).map((b) => b.id) });
    }
    case 'fewer choices': {
      const b = item();
      if (!('options' in b)) throw new Error(`docs/cases: part ${at} has no choices.`);
      const leaveOut = b.options.filter((o) => listOf(body).includes(o.text)).map((o) => o.id);
      return made({ kind: 'fewer-choices', target: b.id, leaveOut, was: snapshotChoices(b) });
    }
    case 'word bank':
      return made({
        kind: 'word-bank',
        page,
        after: null,
        blockId: 'bank',
        title: 'Words',
        words: listOf(body.replaceAll(';', ','), ','),
        was: [],
      });
    case 'glossary': {
      const entries = listOf(body, ';').map((e, i) => {
        const [word = '', meaning = ''] = asked(e.replace('=', ' = ').replace(/\s+/g, ' '));
        return { id: `e${i}`, word, meaning };
      });
      return made({ kind: 'glossary', page, after: null, blockId: 'glossary', title: 'Words', entries, was: [] });
    }
    case 'example': {
      const steps = listOf(body).map((text, i) => ({ id: `s${i}`, text }));
      const block = { id: 'example', kind: 'worked-example', audience: 'learner', title: 'Like this', steps };
      return insert(blockSchema.parse(block), 'worked-example');
    }
    case 'insert':
      return insert(blockOf(body, 'new'));
    case 'extension':
      return insert(blockOf(body, 'new'), 'extension-item');
    case 'steps': {
      const steps = listOf(body).map((text, i) => ({ id: `s${i}`, text }));
      return made({ kind: 'steps-to-tick', target: target().id, blockId: 'steps', title: 'Steps', steps, was: '' });
    }
    case 'extra time':
      return made({ kind: 'extra-time', percent: Number(at), days: 0 });
    case 'answer': {
      const to = / by (.+)$/.exec(head)?.[1] ?? '';
      const way = to === 'choice' ? 'single-choice' : to;
      return made({
        kind: 'other-answer',
        target: item().id,
        to: way,
        wrong: listOf(body).filter(Boolean),
        was: answerBehind(item()),
      });
    }
    case 'picture':
      return made({
        kind: 'replace-picture',
        target: target().id,
        was: { assetId: 'x', alt: '' },
        now: { assetId: 'y', alt: body },
      });
    case 'flap':
      return made({ kind: 'flap', target: item().id, text: body, was: keyWordsOf(item()) });
    case 'recorded':
      return made({
        kind: 'recorded-instruction',
        target: target().id,
        recording: { assetId: 'x', what: 'sound' },
        was: body,
      });
    case 'interest':
      return made({
        kind: 'by-interest',
        target: item().id,
        field: 'prompt',
        was: item().prompt,
        by: [{ interest: 'boats', text: body }],
      });
    case 'page': {
      const added = { id: 'new-page', title: 'Help', orientation: 'portrait', blocks: [blockOf(body, 'new')] };
      return made({ kind: 'insert-page', after: null, page: added });
    }
    case 'larger print':
      return made({ kind: 'larger-print', print: { size: 1.5, spacing: 1.2, font: '', colours: '' } });
    case 'one at a time':
      return made({ kind: 'one-at-a-time' });
    case 'mix up':
      return made({ kind: 'mix-up', targets: [target().id] });
    case 'goes':
      return made({ kind: 'goes', most: Number(at) });
    case 'divide':
      return made({ kind: 'chunk', pages: content.pages.map((p) => p.id), most: Number(at) });
    default:
      throw new Error(`docs/cases: “${verb}” is no adjustment.`);
  }
}

/** An activity with one version that has these adjustments. */
export function familyOf(content: Content, adjustments: readonly Adjustment[]): Family {
  const swatch = { pattern: 'basket', colour: 'a', letter: 'A' };
  return familySchema.parse({
    format: FAMILY_FORMAT,
    id: 'f',
    createdAt: stamp.at,
    swatch,
    revisions: [{ n: 1, at: stamp.at, author: 'case', note: '', content }],
    versions: [{ id: 'v', name: 'Version', swatch, purpose: '', basis: null, upTo: 1, adjustments }],
  });
}

export const verdicts: CaseSet = {
  name: 'verdicts',
  file: 'verdicts.csv',
  says: (r) => {
    const content = contentOf(r['page'] ?? '', r['objectives']);
    const lines = listOf(r['adjustments'], '||');
    const all = lines.map((line, i) => adjustmentOf(line, content, `a${i}`));
    const { judgement, adjustments } = classify(familyOf(content, all), 'v');
    // Yes is a modification: a question whether something is still as it was would be answered the other way round.
    const turned = [...adjustments.values()].find((v) => v.question && TURNED.test(v.question));
    return turned?.question ?? judgement;
  },
};
