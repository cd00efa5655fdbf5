import { type AnyNode, type Element, isTag } from 'domhandler';
import { DomUtils } from 'htmlparser2';

const HIDING =
  /display\s*:\s*none|visibility\s*:\s*hidden|opacity\s*:\s*0(?:\.0+)?\s*(?:;|$)|font-size\s*:\s*0(?:[a-z%]*)\s*(?:;|$)/i;
const WHITE =
  /(?:^|[;\s])color\s*:\s*(?:white|transparent|#fff(?:fff)?|rgba?\(\s*255\s*,\s*255\s*,\s*255[^)]*\))\s*(?:!important\s*)?(?:;|$)/i;
/** A ground of its own, on which white words can be read. */
const hasGround = (el: Element): boolean =>
  'bgcolor' in el.attribs || /background/i.test(el.attribs['style'] ?? '') || 'class' in el.attribs;

/** What the file's own styles hide by the simplest of selectors: `p`, `.answer`, `#key`, `p.answer`. */
export function hiddenByStyle(nodes: readonly AnyNode[]): Set<string> {
  const css = DomUtils.getElementsByTagName('style', nodes as AnyNode[])
    .map((e) => DomUtils.textContent(e))
    .join('\n');
  const hides = new Set<string>();
  // Where grounds are coloured somewhere, white words may stand on one.
  const hasGrounds = /background/i.test(css);
  for (const [, selectors = '', rules = ''] of css.matchAll(/([^{}]{1,400})\{([^{}]*)\}/g))
    if (HIDING.test(rules) || (WHITE.test(rules) && !hasGrounds))
      for (const one of selectors.split(',')) hides.add(one.trim().toLowerCase());
  return hides;
}

/** Whether a browser would not show it, or shows it white on white; `hides`: what the file's own styles hide. */
export function isHidden(el: Element, hides: ReadonlySet<string>): boolean {
  const { style = '', class: classes = '', id } = el.attribs;
  if ('hidden' in el.attribs || HIDING.test(style)) return true;
  if (WHITE.test(style)) {
    let on: Element | null = el;
    while (on && !hasGround(on)) on = on.parent && isTag(on.parent) ? on.parent : null;
    if (!on) return true;
  }
  const named = classes.toLowerCase().split(/\s+/).filter(Boolean);
  const selectors = [
    el.name,
    ...named.flatMap((c) => [`.${c}`, `${el.name}.${c}`]),
    ...(id ? [`#${id}`, `${el.name}#${id}`].map((x) => x.toLowerCase()) : []),
  ];
  return selectors.some((s) => hides.has(s));
}
