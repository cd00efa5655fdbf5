import type { TextChange } from '../../upkeep/merge-text';
import type { DocumentPart, PrintedDocument } from './document';

const ESCAPES: Readonly<Record<string, string>> = {
  '&': '&amp;',
  '<': '&lt;',
  '>': '&gt;',
  '"': '&quot;',
  "'": '&#39;',
};
const esc = (text: string): string => text.replace(/[&<>"']/g, (c) => ESCAPES[c] ?? c);
/** Lines stay lines. */
const lines = (text: string): string => esc(text).replaceAll('\n', '<br>');

const STYLE = `
:root { color-scheme: light dark; --line: #c9bda8; --soft: #5c5346; --gone: #fbe3dc; --new: #e3eed7; }
@media (prefers-color-scheme: dark) { :root { --line: #5c5346; --soft: #c9bda8; --gone: #5a2a1e; --new: #2e4320; } }
body { font: 16px/1.5 Georgia, 'Times New Roman', serif; max-width: 50rem; margin: 0 auto; padding: 1.5rem 1rem 4rem; }
h1 { font-size: 1.9rem; line-height: 1.2; }
h2 { font-size: 1.4rem; margin-top: 2.5rem; border-top: 2px solid var(--line); padding-top: .6rem; }
h3 { font-size: 1.15rem; margin-top: 1.6rem; }
h4 { font-size: 1rem; margin: 1.2rem 0 .3rem; }
p { margin: .4rem 0; }
.small { color: var(--soft); font-size: .9rem; }
.said { border-inline-start: 3px solid var(--line); padding-inline-start: .8rem; }
.wide { overflow-x: auto; }
table { border-collapse: collapse; width: 100%; margin: .6rem 0; font-size: .92rem; }
th, td { border: 1px solid var(--line); padding: .3rem .5rem; text-align: start; vertical-align: top; overflow-wrap: anywhere; }
dl { display: grid; grid-template-columns: max-content minmax(0, 1fr); gap: .15rem .9rem; margin: .5rem 0; }
dt { color: var(--soft); }
dd { margin: 0; }
del { background: var(--gone); }
ins { background: var(--new); }
img { max-width: min(100%, 24rem); max-height: 20rem; }
caption { text-align: start; color: var(--soft); font-size: .9rem; }
@media (max-width: 30rem) { dl { grid-template-columns: 1fr; } dd { margin-bottom: .3rem; } }
@media print { body { max-width: none; padding: 0; } nav { break-after: page; } h2, h3, h4 { break-after: avoid; } tr, .sides { break-inside: avoid; } }
`;

/**
 * A document as one HTML page that needs nothing else: no script runs in it and nothing is fetched. `pictures` are data
 * addresses by asset.
 */
export function htmlDocument(doc: PrintedDocument, pictures: Readonly<Record<string, string>> = {}): string {
  const headings = doc.parts.flatMap((p, i) => (p.is === 'heading' && p.level < 3 ? [{ p, i }] : []));
  const anchors = new Map(headings.map(({ p, i }) => [p, p.anchor ?? `part-${i}`]));
  const contents = `<nav aria-label="Contents"><h2>Contents</h2><ol>${contentsOf(headings.map(({ p }) => ({ level: p.level, text: p.text, anchor: anchors.get(p) ?? '' })))}</ol></nav>`;
  const body = doc.parts.map((p) =>
    p.is === 'contents'
      ? contents
      : p.is === 'heading'
        ? headingOf(p, anchors.get(p) ?? p.anchor)
        : partOf(p, pictures),
  );
  return `<!doctype html>
<html lang="${esc(doc.language)}">
<head>
<meta charset="utf-8">
<meta name="viewport" content="width=device-width, initial-scale=1">
<meta http-equiv="Content-Security-Policy" content="default-src 'none'; img-src data:; style-src 'unsafe-inline'">
<title>${esc(doc.title)}</title>
<style>${STYLE}</style>
</head>
<body>
<main>
${body.join('\n')}
</main>
</body>
</html>
`;
}

function contentsOf(
  all: readonly { readonly level: number; readonly text: string; readonly anchor: string }[],
): string {
  let out = '';
  all.forEach(({ level, text, anchor }, i) => {
    const link = `<a href="#${esc(anchor)}">${esc(text)}</a>`;
    const [before, next] = [all[i - 1]?.level ?? 1, all[i + 1]?.level ?? 1];
    if (level === 2 && before === 1 && i === 0) out += '<li><ol>';
    out += `<li>${link}`;
    if (level === 1 && next === 2) out += '<ol>';
    else out += '</li>';
    if (level === 2 && next === 1) out += '</ol></li>';
  });
  return out;
}

/** The title is the first level of the page: what is a heading of level 1 in the document is the next. */
const headingOf = (p: DocumentPart & { is: 'heading' }, anchor: string | undefined): string =>
  `<h${p.level + 1}${anchor ? ` id="${esc(anchor)}"` : ''}>${esc(p.text)}</h${p.level + 1}>`;

function partOf(p: DocumentPart, pictures: Readonly<Record<string, string>>): string {
  switch (p.is) {
    case 'title':
      return `<h1>${esc(p.text)}</h1>`;
    case 'words':
      return `<p>${lines(p.text)}</p>`;
    case 'small':
    case 'said':
      return `<p class="${p.is}">${lines(p.text)}</p>`;
    case 'list':
      return `<ul>${p.lines.map((l) => `<li>${lines(l)}</li>`).join('')}</ul>`;
    case 'facts':
      return `<dl>${p.facts.map(([n, v]) => `<dt>${esc(n)}</dt><dd>${lines(v)}</dd>`).join('')}</dl>`;
    case 'table':
      return tableOf(p.says, p.head, p.rows);
    case 'sides':
      return sidesOf(p);
    case 'index':
      return `<dl>${p.entries.map((e) => `<dt>${esc(e.name)}</dt><dd>${esc(e.says)} ${e.at.map((a) => `<a href="#${esc(a.anchor)}">${esc(a.name)}</a>`).join(', ')}</dd>`).join('')}</dl>`;
    case 'picture': {
      const data = Object.hasOwn(pictures, p.assetId) ? pictures[p.assetId] : undefined;
      return data?.startsWith('data:image/')
        ? `<p><img src="${esc(data)}" alt="${esc(p.alt)}"></p>`
        : `<p class="small">[${esc(p.alt)}]</p>`;
    }
    case 'signatures':
      return tableOf(
        'Signatures',
        p.heads,
        p.roles.map((r) => [r, '', '', '']),
      );
    default:
      return '';
  }
}

const tableOf = (says: string, head: readonly string[], rows: readonly (readonly string[])[]): string =>
  `<div class="wide" role="region" tabindex="0" aria-label="${esc(says)}"><table><thead><tr>${head.map((h) => `<th scope="col">${esc(h)}</th>`).join('')}</tr></thead><tbody>${rows
    .map(
      (r) =>
        `<tr>${r.map((c, i) => (i === 0 ? `<th scope="row">${lines(c)}</th>` : `<td>${lines(c)}</td>`)).join('')}</tr>`,
    )
    .join('')}</tbody></table></div>`;

const changed = (all: readonly TextChange[]): string =>
  all
    .map((c) =>
      c.kind === 'same'
        ? lines(c.text)
        : c.kind === 'gone'
          ? `<del>${lines(c.text)}</del>`
          : `<ins>${lines(c.text)}</ins>`,
    )
    .join('');

const sidesOf = (p: DocumentPart & { is: 'sides' }): string =>
  `<table class="sides"><caption>${esc(p.about)}</caption><thead><tr>${p.heads.map((h) => `<th scope="col">${esc(h)}</th>`).join('')}</tr></thead><tbody><tr><td>${changed(p.master)}</td><td>${changed(p.learner)}</td></tr></tbody></table>${p.below ? `<p class="small">${esc(p.below)}</p>` : ''}`;
