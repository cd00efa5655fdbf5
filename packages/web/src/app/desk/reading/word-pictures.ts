import {
  afterRenderEffect,
  ChangeDetectionStrategy,
  Component,
  computed,
  ElementRef,
  inject,
  input,
  signal,
} from '@angular/core';
import type { LearnerPackage } from '@lorvet/core/desk';
import { forms } from '../../platform/word-list';
import { Picture } from '../../ui/picture';
import { rangeOf, type Unit } from '../../ui/readable';
import { Reader } from './reader';

/** How long the page must have been still before the pictures are laid anew. */
const STILL_MS = 120;
/** As many stand on a page. */
const MOST = 400;

interface Placed {
  readonly key: string;
  readonly assetId: string;
  /** Middle and top of the word, in px from the corner of what is read. */
  readonly x: number;
  readonly y: number;
}

/** The pictures that a sheet's own words have, by the word in small letters. */
export function picturesOf(pages: LearnerPackage['pages']): ReadonlyMap<string, string> {
  const entries = pages.flatMap((p) => p.blocks.flatMap((b) => (b.kind === 'vocabulary' ? b.entries : [])));
  return new Map(entries.flatMap((e) => (e.assetId ? [[e.word.trim().toLowerCase(), e.assetId] as const] : [])));
}

/** Where words with a picture stand in a text: the words as they are there, "stalls" for "stall". */
export function picturedIn(
  text: string,
  pictures: ReadonlyMap<string, string>,
): { readonly from: number; readonly to: number; readonly assetId: string }[] {
  return [...text.matchAll(/[\p{L}\p{M}’'-]+/gu)].flatMap((m) => {
    const assetId = forms(m[0]).flatMap((f) => pictures.get(f) ?? [])[0];
    return assetId ? [{ from: m.index, to: m.index + m[0].length, assetId }] : [];
  });
}

/** Pictures above the words that the sheet itself has a picture for. They lie over the page and change nothing of it. */
@Component({
  selector: 'lv-word-pictures',
  imports: [Picture],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @for (p of placed(); track p.key) {
      <lv-picture [assetId]="p.assetId" alt="" [style.left.px]="p.x" [style.top.px]="p.y" />
    }
  `,
  // The word itself is what is read.
  host: { 'data-quiet': '', 'aria-hidden': 'true' },
  styles: `
    lv-picture {
      position: absolute;
      width: 1.5em;
      height: 1.5em;
      transform: translate(-50%, -88%);
      pointer-events: none;
    }
  `,
})
export class WordPictures {
  readonly root = input.required<HTMLElement>();
  readonly pictures = input.required<ReadonlyMap<string, string>>();
  private readonly reader = inject(Reader);
  private readonly host = inject<ElementRef<HTMLElement>>(ElementRef).nativeElement;
  protected readonly placed = signal<readonly Placed[]>([]);
  private readonly lay = computed(() => {
    const [root, pictures] = [this.root(), this.pictures()];
    return () => this.placed.set(this.found(root, pictures));
  });

  constructor() {
    afterRenderEffect((onCleanup) => {
      const [root, lay] = [this.root(), this.lay()];
      let timer: ReturnType<typeof setTimeout> | undefined;
      const soon = () => {
        clearTimeout(timer);
        timer = setTimeout(lay, STILL_MS);
      };
      const changes = new MutationObserver((all) => {
        if (all.some((c) => !this.host.contains(c.target))) soon();
      });
      changes.observe(root, { childList: true, subtree: true, characterData: true });
      const size = new ResizeObserver(soon);
      size.observe(root);
      soon();
      onCleanup(() => {
        clearTimeout(timer);
        changes.disconnect();
        size.disconnect();
      });
    });
  }

  private found(root: HTMLElement, pictures: ReadonlyMap<string, string>): Placed[] {
    const corner = root.getBoundingClientRect();
    return this.reader
      .units()
      .filter(isText)
      .flatMap((unit, u) =>
        picturedIn(unit.text, pictures).flatMap(({ from, to, assetId }): Placed[] => {
          const box = rangeOf(unit, { from, to })?.getBoundingClientRect();
          if (!box?.width) return [];
          const [x, y] = [box.left + box.width / 2 - corner.left, box.top - corner.top];
          return [{ key: `${u} ${from}`, assetId, x, y }];
        }),
      )
      .slice(0, MOST);
  }
}

/** In its list of words a word has its picture beside it. */
const isText = ({ element }: Unit): boolean => !element.closest('lv-vocabulary-desk');
