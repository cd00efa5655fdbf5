// Makes test-material/intake: sheets with keys and notes, in four languages and four formats, and what each should give.
// node test-material/sources/intake.mjs
import { chromium } from '@playwright/test';
import { strToU8, zipSync } from 'fflate';
import { mkdirSync, writeFileSync } from 'node:fs';
import { SHEETS } from './intake-sheets.mjs';

const out = new URL('../intake/', import.meta.url);
mkdirSync(out, { recursive: true });
const escape = (t) => t.replace(/&/g, '&amp;').replace(/</g, '&lt;').replace(/>/g, '&gt;');

/** A Word document of paragraphs: strings, or { style, num, hidden, deleted, comment, white, pageBreak, rows }. */
function docx(parts) {
  const w = 'xmlns:w="http://schemas.openxmlformats.org/wordprocessingml/2006/main"';
  let comments = '';
  const run = (text, props = '') =>
    `<w:r>${props ? `<w:rPr>${props}</w:rPr>` : ''}<w:t xml:space="preserve">${escape(text)}</w:t></w:r>`;
  const runs = (text, props = '') =>
    text
      .split('**')
      .map((t, i) => (t ? run(t, (i % 2 ? '<w:b/>' : '') + props) : ''))
      .join('');
  const paragraph = (p) => {
    const one = typeof p === 'string' ? { text: p } : p;
    if (one.rows)
      return `<w:tbl>${one.rows
        .map((r) => `<w:tr>${r.map((c) => `<w:tc><w:p>${runs(c)}</w:p></w:tc>`).join('')}</w:tr>`)
        .join('')}</w:tbl>`;
    if (one.pageBreak) return '<w:p><w:r><w:br w:type="page"/></w:r></w:p>';
    const props = [
      one.style ? `<w:pStyle w:val="${one.style}"/>` : '',
      one.num ? `<w:numPr><w:ilvl w:val="${one.num[1]}"/><w:numId w:val="${one.num[0]}"/></w:numPr>` : '',
      one.breakBefore ? '<w:pageBreakBefore/>' : '',
    ].join('');
    let body = one.text
      .split('\n')
      .map((t) => runs(t, one.hidden ? '<w:vanish/>' : ''))
      .join('<w:r><w:br/></w:r>');
    if (one.deleted)
      body += `<w:del w:id="9" w:author="x"><w:r><w:delText>${escape(one.deleted)}</w:delText></w:r></w:del>`;
    if (one.comment) {
      body += '<w:r><w:commentReference w:id="0"/></w:r>';
      comments = `<?xml version="1.0" encoding="UTF-8"?><w:comments ${w}><w:comment w:id="0" w:author="x"><w:p>${run(one.comment)}</w:p></w:comment></w:comments>`;
    }
    if (one.white) body += run(one.white, '<w:color w:val="FFFFFF"/>');
    if (one.hiddenRun) body += run(one.hiddenRun, '<w:vanish/>');
    return `<w:p>${props ? `<w:pPr>${props}</w:pPr>` : ''}${body}</w:p>`;
  };
  const head = '<?xml version="1.0" encoding="UTF-8" standalone="yes"?>';
  const rel = 'http://schemas.openxmlformats.org/officeDocument/2006/relationships';
  const pkg = 'http://schemas.openxmlformats.org/package/2006';
  const word = 'application/vnd.openxmlformats-officedocument.wordprocessingml';
  const body = parts.map(paragraph).join('');
  const styles = [1, 2, 3]
    .map((n) => `<w:style w:type="paragraph" w:styleId="Heading${n}"><w:name w:val="heading ${n}"/></w:style>`)
    .join('');
  const files = {
    '[Content_Types].xml': `${head}<Types xmlns="${pkg}/content-types"><Default Extension="rels" ContentType="application/vnd.openxmlformats-package.relationships+xml"/><Default Extension="xml" ContentType="application/xml"/><Override PartName="/word/document.xml" ContentType="${word}.document.main+xml"/><Override PartName="/word/styles.xml" ContentType="${word}.styles+xml"/>${comments ? `<Override PartName="/word/comments.xml" ContentType="${word}.comments+xml"/>` : ''}</Types>`,
    '_rels/.rels': `${head}<Relationships xmlns="${pkg}/relationships"><Relationship Id="rId1" Type="${rel}/officeDocument" Target="word/document.xml"/></Relationships>`,
    'word/document.xml': `${head}<w:document ${w}><w:body>${body}<w:sectPr/></w:body></w:document>`,
    'word/styles.xml': `${head}<w:styles ${w}>${styles}</w:styles>`,
    'word/_rels/document.xml.rels': `${head}<Relationships xmlns="${pkg}/relationships"><Relationship Id="rId1" Type="${rel}/styles" Target="styles.xml"/>${comments ? `<Relationship Id="rId2" Type="${rel}/comments" Target="comments.xml"/>` : ''}</Relationships>`,
  };
  if (parts.some((p) => p.num)) {
    const level = (n, format, text) =>
      `<w:lvl w:ilvl="${n}"><w:start w:val="1"/><w:numFmt w:val="${format}"/><w:lvlText w:val="${text}"/></w:lvl>`;
    const nums = [1, 2, 3].map(
      (n) =>
        `<w:num w:numId="${n}"><w:abstractNumId w:val="0"/><w:lvlOverride w:ilvl="0"><w:startOverride w:val="1"/></w:lvlOverride></w:num>`,
    );
    files['word/numbering.xml'] =
      `${head}<w:numbering ${w}><w:abstractNum w:abstractNumId="0">${level(0, 'decimal', '%1.')}${level(1, 'lowerLetter', '%2)')}</w:abstractNum>${nums.join('')}</w:numbering>`;
    const add = (name, before, what) => {
      files[name] = files[name].replace(before, what + before);
    };
    add(
      '[Content_Types].xml',
      '</Types>',
      `<Override PartName="/word/numbering.xml" ContentType="${word}.numbering+xml"/>`,
    );
    add(
      'word/_rels/document.xml.rels',
      '</Relationships>',
      `<Relationship Id="rId3" Type="${rel}/numbering" Target="numbering.xml"/>`,
    );
  }
  if (comments) files['word/comments.xml'] = comments;
  return zipSync(Object.fromEntries(Object.entries(files).map(([n, t]) => [n, [strToU8(t), { mtime: '2026-11-01' }]])));
}

const browser = await chromium.launch({ executablePath: '/usr/bin/chromium', args: ['--no-sandbox'] });
const page = await browser.newPage();
for (const s of SHEETS) {
  const write = (bytes) => writeFileSync(new URL(s.file, out), bytes);
  if (s.file.endsWith('.pdf')) {
    await page.setContent(
      `<style>body{font:12pt/1.5 sans-serif;margin:0}h1{font-size:20pt}h2{font-size:15pt}.foot{font-size:9pt}.line{display:inline-block;border-bottom:1px solid #000;width:200px;height:14px}.new{break-before:page}.cols{columns:2}</style>${s.html}`,
    );
    write(await page.pdf({ format: 'A4', margin: { top: '18mm', bottom: '18mm', left: '18mm', right: '18mm' } }));
  } else if (s.file.endsWith('.docx')) write(docx(s.docx));
  else write(s.html ?? s.text);
}
await browser.close();
const expected = SHEETS.map(({ file, keys, secrets, learners }) => ({ file, keys, secrets, learners }));
writeFileSync(new URL('expected.json', out), `${JSON.stringify(expected, null, 2)}\n`);
console.log(`${SHEETS.length} files`);
