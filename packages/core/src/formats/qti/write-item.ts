import type { Id } from '../../activity/block';
import type { Block, ItemBlock } from '../../activity/blocks';
import { gapParts } from '../../activity/blocks/gaps';
import type { Piece } from '../../activity/parts';
import { xml } from './xml';

export interface PictureRef {
  readonly href: string;
  readonly width: number;
  readonly height: number;
}

export type PictureOf = (assetId: string) => PictureRef | undefined;

interface Written {
  readonly declarations: string;
  readonly body: string;
  readonly processing: string;
}

const MATCH = 'https://purl.imsglobal.org/spec/qti/v3p0/rptemplates/match_correct.xml';
const MAP = 'https://purl.imsglobal.org/spec/qti/v3p0/rptemplates/map_response.xml';

/** QTI names must begin with a letter or underscore. */
export const ref = (id: Id): string => `i_${id.replace(/[^A-Za-z0-9_.-]/g, '_')}`;

const values = (list: readonly string[]) => list.map((v) => `<qti-value>${xml(v)}</qti-value>`).join('');
const declare = (cardinality: string, base: string, correct: readonly string[], more = '', id = 'RESPONSE') =>
  `<qti-response-declaration identifier="${id}" cardinality="${cardinality}" base-type="${base}">${correct.length ? `<qti-correct-response>${values(correct)}</qti-correct-response>` : ''}${more}</qti-response-declaration>`;
const template = (t: string) => `<qti-response-processing template="${t}"/>`;
const prompt = (text: string) => `<qti-prompt>${xml(text)}</qti-prompt>`;
const mapping = (keys: readonly string[], points: number) =>
  `<qti-mapping default-value="0">${keys.map((k) => `<qti-map-entry map-key="${xml(k)}" mapped-value="${points}" case-sensitive="false"/>`).join('')}</qti-mapping>`;

function face(p: Piece, pictureOf: PictureOf): string {
  const picture = p.assetId ? pictureOf(p.assetId) : undefined;
  if (!picture) return xml(p.text);
  return `<img src="${xml(picture.href)}" alt="${xml(p.text)}" width="${picture.width}" height="${picture.height}"/>`;
}

/** What of a block's kind QTI 3 can say; null where it has no interaction for it. */
function written(b: ItemBlock, pictureOf: PictureOf): Written | null {
  switch (b.kind) {
    case 'single-choice':
    case 'multiple-choice': {
      const many = b.kind === 'multiple-choice';
      const key = b.kind === 'multiple-choice' ? b.key : b.key ? [b.key] : [];
      const also = b.kind === 'single-choice' ? (b.also ?? []) : [];
      const mapped = also.length ? mapping([...key, ...also].map(ref), b.points) : '';
      const choices = b.options.map(
        (o) => `<qti-simple-choice identifier="${ref(o.id)}">${face(o, pictureOf)}</qti-simple-choice>`,
      );
      return {
        declarations: declare(many ? 'multiple' : 'single', 'identifier', key.map(ref), mapped),
        body: `<qti-choice-interaction response-identifier="RESPONSE" max-choices="${many ? 0 : 1}">${prompt(b.prompt)}${choices.join('')}</qti-choice-interaction>`,
        processing: template(mapped ? MAP : MATCH),
      };
    }
    case 'short-text':
      return {
        declarations: declare('single', 'string', b.key.slice(0, 1), b.key.length ? mapping(b.key, b.points) : ''),
        body: `<p>${xml(b.prompt)} <qti-text-entry-interaction response-identifier="RESPONSE"/></p>`,
        processing: template(b.key.length ? MAP : MATCH),
      };
    case 'number':
      return {
        declarations: declare('single', 'float', b.key === null ? [] : [`${b.key}`]),
        body: `<p>${xml(b.prompt)} <qti-text-entry-interaction response-identifier="RESPONSE"/> ${xml(b.unit)}</p>`,
        processing:
          b.tolerance > 0
            ? `<qti-response-processing><qti-response-condition><qti-response-if><qti-equal tolerance-mode="absolute" tolerance="${b.tolerance} ${b.tolerance}"><qti-variable identifier="RESPONSE"/><qti-correct identifier="RESPONSE"/></qti-equal><qti-set-outcome-value identifier="SCORE"><qti-base-value base-type="float">${b.points}</qti-base-value></qti-set-outcome-value></qti-response-if></qti-response-condition></qti-response-processing>`
            : template(MATCH),
      };
    case 'long-text':
      return {
        declarations: declare('single', 'string', b.key ? [b.key] : []),
        body: `<qti-extended-text-interaction response-identifier="RESPONSE" expected-lines="${b.lines}">${prompt(b.prompt)}</qti-extended-text-interaction>`,
        processing: '',
      };
    case 'ordering': {
      const entries = [...b.entries].sort((x, y) => x.text.localeCompare(y.text, 'en'));
      return {
        declarations: declare(
          'ordered',
          'identifier',
          b.entries.map((e) => ref(e.id)),
        ),
        body: `<qti-order-interaction response-identifier="RESPONSE" shuffle="true">${prompt(b.prompt)}${entries.map((e) => `<qti-simple-choice identifier="${ref(e.id)}">${face(e, pictureOf)}</qti-simple-choice>`).join('')}</qti-order-interaction>`,
        processing: template(MATCH),
      };
    }
    case 'matching':
    case 'sorting': {
      const pairs =
        b.kind === 'matching'
          ? b.pairs.map((p) => `${ref(p.id)} ${ref(p.match.id)}`)
          : b.pieces.filter((p) => p.group).map((p) => `${ref(p.id)} ${ref(p.group)}`);
      const left: readonly Piece[] = b.kind === 'matching' ? b.pairs : b.pieces;
      const right: readonly Piece[] = b.kind === 'matching' ? [...b.pairs.map((p) => p.match), ...b.extra] : b.groups;
      const set = (list: readonly Piece[], most: number) =>
        `<qti-simple-match-set>${list.map((p) => `<qti-simple-associable-choice identifier="${ref(p.id)}" match-max="${most}">${face(p, pictureOf)}</qti-simple-associable-choice>`).join('')}</qti-simple-match-set>`;
      return {
        declarations: declare('multiple', 'directedPair', pairs),
        body: `<qti-match-interaction response-identifier="RESPONSE" max-associations="0">${prompt(b.prompt)}${set(left, 1)}${set(right, b.kind === 'matching' ? 1 : 0)}</qti-match-interaction>`,
        processing: template(MATCH),
      };
    }
    case 'gaps':
      return b.mode === 'bank' ? bank(b) : inlineGaps(b);
    case 'spots': {
      const picture = pictureOf(b.assetId);
      if (!picture) return null;
      const areas = b.targets.map(
        (t) =>
          `<qti-hotspot-choice identifier="${ref(t.id)}" shape="rect" coords="${rectCoords(t, picture)}"${t.text ? ` hotspot-label="${xml(t.text)}"` : ''}/>`,
      );
      return {
        declarations: declare(
          'multiple',
          'identifier',
          b.targets.map((t) => ref(t.id)),
        ),
        body: `<qti-hotspot-interaction response-identifier="RESPONSE" max-choices="0">${prompt(b.prompt)}${image(picture, b.alt)}${areas.join('')}</qti-hotspot-interaction>`,
        processing: template(MATCH),
      };
    }
    case 'labels': {
      const picture = pictureOf(b.assetId);
      if (!picture) return null;
      const radius = Math.round(picture.width * 0.03);
      const px = (n: number, of: number) => Math.round((n / 100) * of * 100) / 100;
      const hot = b.spots.map(
        (s) =>
          `<qti-associable-hotspot identifier="${ref(s.id)}" match-max="1" shape="circle" coords="${px(s.x, picture.width)},${px(s.y, picture.height)},${radius}"/>`,
      );
      return graphic(
        b.prompt,
        image(picture, b.alt),
        [...b.spots.map((s) => s.label), ...b.extra],
        hot,
        b.spots.map((s) => `${ref(s.label.id)} ${ref(s.id)}`),
      );
    }
    case 'pieces': {
      const { board } = b;
      const picture = board.on === 'picture' ? pictureOf(board.assetId) : undefined;
      if (board.on !== 'picture' || !picture) return null;
      const hot = board.places.map(
        (p) =>
          `<qti-associable-hotspot identifier="${ref(p.id)}" match-max="1" shape="rect" coords="${rectCoords(p, picture)}"${p.text ? ` hotspot-label="${xml(p.text)}"` : ''}/>`,
      );
      return graphic(
        b.prompt,
        image(picture, board.alt),
        b.pieces,
        hot,
        b.pieces.filter((p) => p.place).map((p) => `${ref(p.id)} ${ref(p.place)}`),
      );
    }
    default:
      return null;
  }
}

const rectCoords = (r: { x: number; y: number; w: number; h: number }, p: PictureRef): string =>
  [r.x * p.width, r.y * p.height, (r.x + r.w) * p.width, (r.y + r.h) * p.height]
    .map((n) => Math.round(n) / 100)
    .join(',');

const image = (p: PictureRef, alt: string): string =>
  `<img src="${xml(p.href)}" alt="${xml(alt)}" width="${p.width}" height="${p.height}"/>`;

function graphic(
  words: string,
  picture: string,
  pieces: readonly Piece[],
  hot: readonly string[],
  pairs: readonly string[],
): Written {
  const texts = [...pieces]
    .sort((x, y) => x.text.localeCompare(y.text, 'en'))
    .map((p) => `<qti-gap-text identifier="${ref(p.id)}" match-max="1">${xml(p.text)}</qti-gap-text>`);
  return {
    declarations: declare('multiple', 'directedPair', pairs),
    body: `<qti-graphic-gap-match-interaction response-identifier="RESPONSE">${prompt(words)}${picture}${texts.join('')}${hot.join('')}</qti-graphic-gap-match-interaction>`,
    processing: template(MATCH),
  };
}

type Gaps = Extract<Block, { kind: 'gaps' }>;

function bank(b: Gaps): Written {
  const parts = gapParts(b.text, b.gaps);
  const words = [...new Set([...b.gaps.map((g) => g.key[0] ?? ''), ...b.extra])]
    .filter(Boolean)
    .sort((x, y) => x.localeCompare(y, 'en'));
  const word = (w: string) => `w${words.indexOf(w) + 1}`;
  const pairs = b.gaps.flatMap((g) => (g.key[0] ? [`${word(g.key[0])} ${ref(g.id)}`] : []));
  const body = parts.map((p) => ('text' in p ? xml(p.text) : `<qti-gap identifier="${ref(p.gap)}"/>`)).join('');
  return {
    declarations: declare('multiple', 'directedPair', pairs),
    body: `<qti-gap-match-interaction response-identifier="RESPONSE">${prompt(b.prompt)}${words.map((w) => `<qti-gap-text identifier="${word(w)}" match-max="1">${xml(w)}</qti-gap-text>`).join('')}<p>${body}</p></qti-gap-match-interaction>`,
    processing: template(MATCH),
  };
}

function inlineGaps(b: Gaps): Written {
  const declarations: string[] = [];
  const body = gapParts(b.text, b.gaps)
    .map((p) => {
      if ('text' in p) return xml(p.text);
      const g = b.gaps.find((x) => x.id === p.gap);
      if (!g) return '';
      const id = `R_${ref(g.id)}`;
      if (b.mode !== 'chosen') {
        declarations.push(declare('single', 'string', g.key.slice(0, 1), g.key.length ? mapping(g.key, 1) : '', id));
        return `<qti-text-entry-interaction response-identifier="${id}"/>`;
      }
      const choices = [...g.key.slice(0, 1), ...g.others].sort((x, y) => x.localeCompare(y, 'en'));
      const name = (w: string) => `c${choices.indexOf(w) + 1}`;
      declarations.push(declare('single', 'identifier', g.key.slice(0, 1).map(name), '', id));
      return `<qti-inline-choice-interaction response-identifier="${id}">${choices.map((w) => `<qti-inline-choice identifier="${name(w)}">${xml(w)}</qti-inline-choice>`).join('')}</qti-inline-choice-interaction>`;
    })
    .join('');
  return {
    declarations: declarations.join(''),
    body: `<p>${xml(b.prompt)}</p><p>${body}</p>`,
    processing: '',
  };
}

/** One item as a QTI 3 file; null where the standard has no interaction for its kind, or its picture is missing. */
export function writeQtiItem(b: ItemBlock, title: string, pictureOf: PictureOf): string | null {
  const w = written(b, pictureOf);
  if (!w) return null;
  const note = b.note
    ? `<qti-rubric-block view="scorer tutor" use="scoring"><qti-content-body><p>${xml(b.note)}</p></qti-content-body></qti-rubric-block>`
    : '';
  return `<?xml version="1.0" encoding="UTF-8"?>
<qti-assessment-item xmlns="http://www.imsglobal.org/xsd/imsqtiasi_v3p0" identifier="${ref(b.id)}" title="${xml(title)}" adaptive="false" time-dependent="false" xml:lang="en">
${w.declarations}
<qti-outcome-declaration identifier="SCORE" cardinality="single" base-type="float"/>
<qti-outcome-declaration identifier="MAXSCORE" cardinality="single" base-type="float"><qti-default-value><qti-value>${b.points}</qti-value></qti-default-value></qti-outcome-declaration>
<qti-item-body>${note}${w.body}</qti-item-body>
${w.processing}
</qti-assessment-item>
`;
}
