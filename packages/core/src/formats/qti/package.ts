import { questionNumbers } from '../../activity/numbering';
import { strFromU8, strToU8, zipSync } from 'fflate';
import type { Content, Page } from '../../activity/activity';
import type { Id } from '../../activity/block';
import { type Block, isItem, labelOf } from '../../activity/blocks';
import { Problem } from '../problem';
import { PACK_LIMITS, unzip } from '../zip';
import { readQtiItem } from './read-item';
import { type PictureOf, ref, writeQtiItem } from './write-item';
import { find, findAll, readXml, xml } from './xml';

export interface QtiPicture {
  readonly name: string;
  readonly bytes: Uint8Array;
}

export interface QtiReading {
  readonly title: string;
  readonly items: readonly { readonly title: string; readonly blocks: readonly Block[] }[];
  /** The package's pictures; blocks name them `picture:<index>`. */
  readonly pictures: readonly QtiPicture[];
  /** What could not be kept, each with its item. */
  readonly left: readonly string[];
}

/** An address as it is meant; one that is wrongly escaped is meant as it stands. */
function unescaped(href: string): string {
  try {
    return decodeURI(href);
  } catch {
    return href;
  }
}

const resolve = (from: string, href: string): string => {
  const path = `${from.includes('/') ? from.slice(0, from.lastIndexOf('/') + 1) : ''}${unescaped(href.split(/[?#]/)[0] ?? '')}`;
  const out: string[] = [];
  for (const step of path.split('/')) {
    if (step === '..') out.pop();
    else if (step !== '.' && step !== '') out.push(step);
  }
  return out.join('/');
};

/** Reads a QTI 3 content package. What it cannot use is named; only a package that is none is a Problem. */
export function readQtiPackage(bytes: Uint8Array, name: string, newId: () => Id): QtiReading {
  const files = unzip(bytes, 'package', PACK_LIMITS);
  const manifestName = Object.keys(files).find((f) => /(^|\/)imsmanifest\.xml$/.test(f));
  const manifest = manifestName === undefined ? undefined : files[manifestName];
  if (manifestName === undefined || !manifest)
    throw new Problem('This ZIP file is not a QTI package: it has no imsmanifest.xml.');
  const doc = readXml(strFromU8(manifest), manifestName);
  const resources = findAll(doc, 'resource');
  const isV3 = (r: { attribs: Record<string, string> }) => /imsqti_item_xmlv3/i.test(r.attribs['type'] ?? '');
  if (!resources.some(isV3)) {
    const older = resources.some((r) => /imsqti_item_xmlv[12]/i.test(r.attribs['type'] ?? ''));
    throw new Problem(
      older
        ? 'This is a QTI package of an older version. Lorvet reads QTI 3: ask for that version where the package comes from.'
        : 'This package holds no QTI 3 items.',
    );
  }
  const pictures: QtiPicture[] = [];
  const known = new Map<string, string>();
  const left: string[] = [];
  const items = inOrder(doc, files, manifestName).flatMap((path) => {
    const file = files[path];
    if (!file) {
      left.push(`“${path}” is named by the manifest and is not in the package.`);
      return [];
    }
    const pictureAt = (href: string): string => {
      if (href === '' || /^[a-z]+:/i.test(href)) {
        if (href) left.push(`A picture at another address was left out: ${href.slice(0, 120)}`);
        return '';
      }
      const at = resolve(path, href);
      const there = files[at];
      if (!there) {
        left.push(`The picture “${at}” is not in the package.`);
        return '';
      }
      let id = known.get(at);
      if (id === undefined) {
        known.set(at, (id = `picture:${pictures.length}`));
        pictures.push({ name: at, bytes: there });
      }
      return id;
    };
    try {
      const item = readQtiItem(strFromU8(file), path, pictureAt, newId);
      left.push(...item.left.map((l) => `${item.title}: ${l}`));
      return [{ title: item.title, blocks: item.blocks }];
    } catch (error) {
      if (!(error instanceof Problem)) throw error;
      left.push(error.message);
      return [];
    }
  });
  const test = resources.find((r) => /imsqti_test_xmlv3/i.test(r.attribs['type'] ?? ''));
  const testFile = test ? files[resolve(manifestName, test.attribs['href'] ?? '')] : undefined;
  return { title: titleOf(testFile) ?? name.replace(/\.zip$/i, ''), items, pictures, left };
}

function titleOf(test: Uint8Array | undefined): string | undefined {
  if (!test) return undefined;
  try {
    return find(readXml(strFromU8(test), 'test'), 'qti-assessment-test')?.attribs['title'] || undefined;
  } catch {
    return undefined;
  }
}

/** Paths of the items: in the test's order where there is a test, else in the manifest's. */
function inOrder(doc: ReturnType<typeof readXml>, files: Record<string, Uint8Array>, manifestName: string): string[] {
  const resources = findAll(doc, 'resource');
  const items = resources
    .filter((r) => /imsqti_item_xmlv3/i.test(r.attribs['type'] ?? ''))
    .map((r) => resolve(manifestName, r.attribs['href'] ?? ''));
  const test = resources.find((r) => /imsqti_test_xmlv3/i.test(r.attribs['type'] ?? ''));
  const path = test && resolve(manifestName, test.attribs['href'] ?? '');
  const file = path === undefined ? undefined : files[path];
  if (path === undefined || !file) return items;
  try {
    const named = findAll(readXml(strFromU8(file), path), 'qti-assessment-item-ref').map((r) =>
      resolve(path, r.attribs['href'] ?? ''),
    );
    return [...named.filter((n) => items.includes(n)), ...items.filter((n) => !named.includes(n))];
  } catch {
    return items;
  }
}

export interface QtiWriting {
  readonly zip: Uint8Array;
  readonly items: number;
  /** What the standard has no words for, a line each. */
  readonly left: readonly string[];
}

export interface PictureFile {
  readonly bytes: Uint8Array;
  /** "png", "svg" … */
  readonly ending: string;
  readonly width: number;
  readonly height: number;
}

/** Writes the learner's items of a content as a QTI 3 package, a section for each page. */
export function writeQtiPackage(content: Content, pictures: ReadonlyMap<string, PictureFile>): QtiWriting {
  const files: Record<string, Uint8Array> = {};
  const left: string[] = [];
  const used = new Map<string, string>();
  const pictureOf: PictureOf = (assetId) => {
    const p = pictures.get(assetId);
    if (!p) return undefined;
    let path = used.get(assetId);
    if (path === undefined) {
      used.set(assetId, (path = `pictures/p${used.size + 1}.${p.ending}`));
      files[path] = p.bytes;
    }
    return { href: `../${path}`, width: p.width, height: p.height };
  };
  const items: { id: string; path: string }[] = [];
  const sections: string[] = [];
  const others = new Map<string, number>();
  const numbers = questionNumbers(content.pages);
  for (const page of content.pages as readonly Page[]) {
    if ((page.audience ?? 'learner') !== 'learner') continue;
    const refs: string[] = [];
    for (const b of page.blocks) {
      if (!isItem(b) || b.audience !== 'learner') {
        if (b.audience === 'learner') others.set(labelOf(b), (others.get(labelOf(b)) ?? 0) + 1);
        continue;
      }
      const n = numbers.get(b.id) ?? 0;
      const file = writeQtiItem(b, `Question ${n}`, pictureOf);
      if (file === null) {
        left.push(`Question ${n} (${labelOf(b).toLowerCase()}) is not written: QTI 3 has no such way to answer.`);
        continue;
      }
      if (b.hint) left.push(`Question ${n}: its hint is not written.`);
      const path = `items/q${String(n).padStart(3, '0')}.xml`;
      files[path] = strToU8(file);
      items.push({ id: ref(b.id), path });
      refs.push(`<qti-assessment-item-ref identifier="${ref(b.id)}" href="${path}"/>`);
    }
    if (refs.length)
      sections.push(
        `<qti-assessment-section identifier="${ref(page.id)}" title="${xml(page.title)}" visible="true">${refs.join('')}</qti-assessment-section>`,
      );
  }
  if (items.length === 0) throw new Problem('There is no question here that QTI 3 could hold.');
  for (const [label, count] of others)
    left.push(`${count} × ${label.toLowerCase()} stands outside of questions and is not written.`);
  files['test.xml'] = strToU8(
    `<?xml version="1.0" encoding="UTF-8"?>\n<qti-assessment-test xmlns="http://www.imsglobal.org/xsd/imsqtiasi_v3p0" identifier="test" title="${xml(content.title)}"><qti-test-part identifier="part" navigation-mode="nonlinear" submission-mode="simultaneous">${sections.join('')}</qti-test-part></qti-assessment-test>\n`,
  );
  const pictureFiles = [...used.values()];
  const resource = (id: string, type: string, path: string, more: readonly string[] = []) =>
    `<resource identifier="${id}" type="${type}" href="${path}">${[path, ...more].map((f) => `<file href="${f}"/>`).join('')}</resource>`;
  files['imsmanifest.xml'] = strToU8(
    `<?xml version="1.0" encoding="UTF-8"?>\n<manifest xmlns="http://www.imsglobal.org/xsd/qti/qtiv3p0/imscp_v1p1" identifier="lorvet"><metadata><schema>QTI Package</schema><schemaversion>3.0.0</schemaversion></metadata><organizations/><resources>${resource('test', 'imsqti_test_xmlv3p0', 'test.xml')}${items.map((i) => resource(i.id, 'imsqti_item_xmlv3p0', i.path)).join('')}${pictureFiles.map((p, i) => resource(`p${i + 1}`, 'webcontent', p)).join('')}</resources></manifest>\n`,
  );
  return { zip: zipSync(files, { level: 6 }), items: items.length, left };
}
