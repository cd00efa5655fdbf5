// Makes the test files that are written by hand: node test-material/sources/by-hand.mjs <a scanned page as PNG>
import { zipSync, strToU8 } from 'fflate';
import { readFileSync, writeFileSync } from 'node:fs';
import { PDFDocument, StandardFonts, rgb } from 'pdf-lib';

const out = (name, bytes) => writeFileSync(new URL(`../${name}`, import.meta.url), bytes);
const stamp = { creationDate: new Date(Date.UTC(2026, 10, 1)) };

// A page that is only a picture.
{
  const pdf = await PDFDocument.create();
  pdf.setCreationDate(stamp.creationDate);
  pdf.setModificationDate(stamp.creationDate);
  const picture = await pdf.embedPng(readFileSync(process.argv[2]));
  pdf.addPage([595, 842]).drawImage(picture, { x: 0, y: 0, width: 595, height: 842 });
  out('scanned.pdf', await pdf.save());
}

// Upright and across, with drawn lines and boxes to write in.
{
  const pdf = await PDFDocument.create();
  pdf.setCreationDate(stamp.creationDate);
  pdf.setModificationDate(stamp.creationDate);
  const font = await pdf.embedFont(StandardFonts.Helvetica);
  const bold = await pdf.embedFont(StandardFonts.HelveticaBold);
  const page = pdf.addPage([595, 842]);
  const say = (p, text, x, y, size = 12, f = font) => p.drawText(text, { x, y, size, font: f });
  const line = (p, x, y, w) =>
    p.drawLine({ start: { x, y }, end: { x: x + w, y }, thickness: 0.8, color: rgb(0.2, 0.2, 0.2) });
  say(page, 'Our garden by the sea', 60, 770, 20, bold);
  say(page, 'The beans stand at the wall, the potatoes near the gate.', 60, 735);
  say(page, '1. What stands at the wall?', 60, 700);
  line(page, 60, 672, 300);
  say(page, '2. What would you plant, and why? Write two sentences.', 60, 640);
  line(page, 60, 612, 470);
  line(page, 60, 584, 470);
  say(page, '3. Draw the garden.', 60, 550);
  page.drawRectangle({ x: 60, y: 330, width: 470, height: 200, borderWidth: 1, borderColor: rgb(0, 0, 0) });
  const wide = pdf.addPage([842, 595]);
  say(wide, 'What grew this week', 60, 530, 20, bold);
  ['Plant', 'Monday', 'Friday'].forEach((t, i) => say(wide, t, 60 + i * 220, 480, 12, bold));
  [
    ['bean', '4 cm', '9 cm'],
    ['pea', '3 cm', '5 cm'],
    ['onion', '6 cm', '7 cm'],
  ].forEach((row, r) => row.forEach((t, i) => say(wide, t, 60 + i * 220, 455 - r * 22)));
  say(wide, '4. Which plant grew most?', 60, 360);
  line(wide, 60, 332, 300);
  out('mixed.pdf', await pdf.save());
}

// A document with a picture, as a word processor keeps it.
{
  const w = 'xmlns:w="http://schemas.openxmlformats.org/wordprocessingml/2006/main"';
  const p = (text, style) =>
    `<w:p>${style ? `<w:pPr><w:pStyle w:val="${style}"/></w:pPr>` : ''}<w:r><w:t xml:space="preserve">${text}</w:t></w:r></w:p>`;
  const drawing = `<w:p><w:r><w:drawing><wp:inline xmlns:wp="http://schemas.openxmlformats.org/drawingml/2006/wordprocessingDrawing"><wp:extent cx="2286000" cy="1143000"/><wp:docPr id="1" name="boat" descr="A red boat with one sail"/><a:graphic xmlns:a="http://schemas.openxmlformats.org/drawingml/2006/main"><a:graphicData uri="http://schemas.openxmlformats.org/drawingml/2006/picture"><pic:pic xmlns:pic="http://schemas.openxmlformats.org/drawingml/2006/picture"><pic:nvPicPr><pic:cNvPr id="1" name="boat.png"/><pic:cNvPicPr/></pic:nvPicPr><pic:blipFill><a:blip xmlns:r="http://schemas.openxmlformats.org/officeDocument/2006/relationships" r:embed="rId2"/></pic:blipFill><pic:spPr/></pic:pic></a:graphicData></a:graphic></wp:inline></w:drawing></w:r></w:p>`;
  const head = '<?xml version="1.0" encoding="UTF-8" standalone="yes"?>';
  const rel = 'http://schemas.openxmlformats.org/officeDocument/2006/relationships';
  const pkg = 'http://schemas.openxmlformats.org/package/2006';
  const type = 'application/vnd.openxmlformats-officedocument.wordprocessingml';
  out(
    'pictures.docx',
    zipSync(
      {
        '[Content_Types].xml': strToU8(
          `${head}<Types xmlns="${pkg}/content-types"><Default Extension="rels" ContentType="application/vnd.openxmlformats-package.relationships+xml"/><Default Extension="png" ContentType="image/png"/><Default Extension="xml" ContentType="application/xml"/><Override PartName="/word/document.xml" ContentType="${type}.document.main+xml"/><Override PartName="/word/styles.xml" ContentType="${type}.styles+xml"/></Types>`,
        ),
        '_rels/.rels': strToU8(
          `${head}<Relationships xmlns="${pkg}/relationships"><Relationship Id="rId1" Type="${rel}/officeDocument" Target="word/document.xml"/></Relationships>`,
        ),
        'word/_rels/document.xml.rels': strToU8(
          `${head}<Relationships xmlns="${pkg}/relationships"><Relationship Id="rId1" Type="${rel}/styles" Target="styles.xml"/><Relationship Id="rId2" Type="${rel}/image" Target="media/boat.png"/></Relationships>`,
        ),
        'word/styles.xml': strToU8(
          `${head}<w:styles ${w}><w:style w:type="paragraph" w:styleId="Heading1"><w:name w:val="heading 1"/></w:style></w:styles>`,
        ),
        'word/media/boat.png': new Uint8Array(readFileSync(new URL('../boat.png', import.meta.url))),
        'word/document.xml': strToU8(
          `${head}<w:document ${w}><w:body>${p('Which boat?', 'Heading1')}${p('Look at the picture.')}${drawing}${p('1. What colour is the boat? ________')}${p('2. How many sails has the boat?')}</w:body></w:document>`,
        ),
      },
      { mtime: stamp.creationDate },
    ),
  );
}

// QTI 3 packages.
const NS = 'xmlns="http://www.imsglobal.org/xsd/imsqtiasi_v3p0"';
const item = (id, title, declarations, body, extra = '') =>
  `<?xml version="1.0" encoding="UTF-8"?>\n<qti-assessment-item ${NS} identifier="${id}" title="${title}" adaptive="false" time-dependent="false">\n${declarations}\n<qti-outcome-declaration identifier="SCORE" cardinality="single" base-type="float"/>\n<qti-outcome-declaration identifier="MAXSCORE" cardinality="single" base-type="float"><qti-default-value><qti-value>2</qti-value></qti-default-value></qti-outcome-declaration>\n<qti-item-body>${body}</qti-item-body>\n${extra}</qti-assessment-item>\n`;
const declare = (card, base, values, id = 'RESPONSE', more = '') =>
  `<qti-response-declaration identifier="${id}" cardinality="${card}" base-type="${base}"><qti-correct-response>${values.map((v) => `<qti-value>${v}</qti-value>`).join('')}</qti-correct-response>${more}</qti-response-declaration>`;
function pack(name, items, others = {}) {
  const files = Object.fromEntries(items.map(([id, text]) => [`items/${id}.xml`, strToU8(text)]));
  const resources = items
    .map(
      ([id]) =>
        `<resource identifier="${id}" type="imsqti_item_xmlv3p0" href="items/${id}.xml"><file href="items/${id}.xml"/></resource>`,
    )
    .join('');
  files['imsmanifest.xml'] = strToU8(
    `<?xml version="1.0"?><manifest xmlns="http://www.imsglobal.org/xsd/qti/qtiv3p0/imscp_v1p1" identifier="m"><organizations/><resources>${resources}</resources></manifest>`,
  );
  out(name, zipSync({ ...files, ...others }, { mtime: stamp.creationDate }));
}
const choice = (id, text) => `<qti-simple-choice identifier="${id}">${text}</qti-simple-choice>`;
pack('choice-and-text.qti.zip', [
  [
    'flag',
    item(
      'flag',
      'The flag',
      declare('single', 'identifier', ['B']),
      `<p>The yellow flag flies from the mast.</p><qti-choice-interaction response-identifier="RESPONSE" max-choices="1"><qti-prompt>What does it mean?</qti-prompt>${choice('A', 'We are sinking')}${choice('B', 'All are well')}${choice('C', 'Bring fish')}</qti-choice-interaction><qti-rubric-block view="scorer"><p>One point for a guess that is explained.</p></qti-rubric-block>`,
      '<qti-modal-feedback outcome-identifier="F" identifier="x" show-hide="show"><p>Yes!</p></qti-modal-feedback>',
    ),
  ],
  [
    'knots',
    item(
      'knots',
      'Knots',
      declare('multiple', 'identifier', ['k1', 'k3']),
      `<qti-choice-interaction response-identifier="RESPONSE" max-choices="0"><qti-prompt>Which are knots?</qti-prompt>${choice('k1', 'bowline')}${choice('k2', 'rudder')}${choice('k3', 'reef')}</qti-choice-interaction>`,
    ),
  ],
  [
    'depth',
    item(
      'depth',
      'Depth',
      declare('single', 'float', ['4.5']),
      '<p>How deep is the harbour? <qti-text-entry-interaction response-identifier="RESPONSE"/> m</p>',
      '<qti-response-processing><qti-response-condition><qti-response-if><qti-equal tolerance-mode="absolute" tolerance="0.5 0.5"><qti-variable identifier="RESPONSE"/><qti-correct identifier="RESPONSE"/></qti-equal></qti-response-if></qti-response-condition></qti-response-processing>',
    ),
  ],
  [
    'why',
    item(
      'why',
      'Why',
      declare('single', 'string', []),
      '<qti-extended-text-interaction response-identifier="RESPONSE" expected-lines="6"><qti-prompt>Why are flags still used?</qti-prompt></qti-extended-text-interaction>',
    ),
  ],
]);
const pairChoice = (id, text) =>
  `<qti-simple-associable-choice identifier="${id}" match-max="1">${text}</qti-simple-associable-choice>`;
pack('match-and-order.qti.zip', [
  [
    'homes',
    item(
      'homes',
      'Homes',
      declare('multiple', 'directedPair', ['crab rock', 'gull cliff']),
      `<qti-match-interaction response-identifier="RESPONSE" max-associations="2"><qti-prompt>Who lives where?</qti-prompt><qti-simple-match-set>${pairChoice('crab', 'crab')}${pairChoice('gull', 'gull')}</qti-simple-match-set><qti-simple-match-set>${pairChoice('cliff', 'on the cliff')}${pairChoice('rock', 'under a rock')}${pairChoice('bus', 'on the bus')}</qti-simple-match-set></qti-match-interaction>`,
    ),
  ],
  [
    'pairs',
    item(
      'pairs',
      'Pairs',
      declare('multiple', 'pair', ['sun day', 'moon night']),
      `<qti-associate-interaction response-identifier="RESPONSE" max-associations="2"><qti-prompt>What goes together?</qti-prompt>${pairChoice('sun', 'sun')}${pairChoice('night', 'night')}${pairChoice('moon', 'moon')}${pairChoice('day', 'day')}</qti-associate-interaction>`,
    ),
  ],
  [
    'tide',
    item(
      'tide',
      'Tide',
      declare('ordered', 'identifier', ['low', 'rising', 'high']),
      `<qti-order-interaction response-identifier="RESPONSE"><qti-prompt>Put in order.</qti-prompt>${choice('high', 'high water')}${choice('low', 'low water')}${choice('rising', 'the water rises')}</qti-order-interaction>`,
    ),
  ],
]);
pack('gaps.qti.zip', [
  [
    'bank',
    item(
      'bank',
      'A word bank',
      declare('multiple', 'directedPair', ['w1 g1', 'w2 g2']),
      '<qti-gap-match-interaction response-identifier="RESPONSE"><qti-gap-text identifier="w1" match-max="1">anchor</qti-gap-text><qti-gap-text identifier="w2" match-max="1">sail</qti-gap-text><qti-gap-text identifier="w3" match-max="1">spoon</qti-gap-text><p>Drop the <qti-gap identifier="g1"/> and take in the <qti-gap identifier="g2"/>.</p></qti-gap-match-interaction>',
    ),
  ],
  [
    'inline',
    item(
      'inline',
      'Choose',
      declare('single', 'identifier', ['b'], 'R1'),
      '<p>The wind comes from the <qti-inline-choice-interaction response-identifier="R1"><qti-inline-choice identifier="a">soup</qti-inline-choice><qti-inline-choice identifier="b">west</qti-inline-choice></qti-inline-choice-interaction> today.</p>',
    ),
  ],
  ['broken', '<qti-assessment-item><qti-item-body></qti-assessment-item>'],
  [
    'slider',
    item(
      'slider',
      'A slider',
      declare('single', 'integer', ['3']),
      '<p>How strong is the wind?</p><qti-slider-interaction response-identifier="RESPONSE" lower-bound="0" upper-bound="9"/>',
    ),
  ],
]);
const boat = new Uint8Array(readFileSync(new URL('../boat.png', import.meta.url)));
pack(
  'pictures.qti.zip',
  [
    [
      'sail',
      item(
        'sail',
        'The sail',
        declare('single', 'identifier', ['h1']),
        '<qti-hotspot-interaction response-identifier="RESPONSE" max-choices="1"><qti-prompt>Mark the sail.</qti-prompt><img src="../boat.png" alt="A boat" width="240" height="120"/><qti-hotspot-choice identifier="h1" shape="rect" coords="110,18,172,72" hotspot-label="the sail"/><qti-hotspot-choice identifier="h2" shape="rect" coords="60,72,180,92"/></qti-hotspot-interaction>',
      ),
    ],
    [
      'parts',
      item(
        'parts',
        'Parts',
        declare('multiple', 'directedPair', ['t1 s1', 't2 s2']),
        '<qti-graphic-gap-match-interaction response-identifier="RESPONSE"><qti-prompt>Label the boat.</qti-prompt><img src="../boat.png" alt="A boat" width="240" height="120"/><qti-gap-text identifier="t1" match-max="1">sail</qti-gap-text><qti-gap-text identifier="t2" match-max="1">hull</qti-gap-text><qti-associable-hotspot identifier="s1" match-max="1" shape="circle" coords="140,40,8"/><qti-associable-hotspot identifier="s2" match-max="1" shape="circle" coords="120,80,8"/></qti-graphic-gap-match-interaction>',
      ),
    ],
  ],
  { 'boat.png': boat },
);
