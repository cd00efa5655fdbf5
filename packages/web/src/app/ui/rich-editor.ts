import type { RichPart, Run } from '@lorvet/core';
import { Editor, Extension, type JSONContent } from '@tiptap/core';
import type { Node } from '@tiptap/pm/model';
import { Plugin, Selection } from '@tiptap/pm/state';
import StarterKit from '@tiptap/starter-kit';

interface Handlers {
  /** Whether there is room for it. */
  fits(parts: RichPart[]): boolean;
  /** Something was typed or pasted that there is no room for. */
  full(): void;
  changed(): void;
  moved(editor: Editor): void;
  /** Ctrl Enter or Escape. */
  done(): void;
}

/** Tiptap with the small schema that marked words can hold. Nothing pasted brings more than that. */
export function openEditor(place: HTMLElement, parts: readonly RichPart[], label: string, handlers: Handlers): Editor {
  // What is too long already may still become shorter.
  const fits = (now: Node, was: Node, isChanged: boolean): boolean => {
    if (!isChanged || now.nodeSize <= was.nodeSize || handlers.fits(partsOfDoc(now))) return true;
    handlers.full();
    return false;
  };
  const keys = Extension.create({
    name: 'leave',
    // Before the line break that the kit puts on Ctrl Enter.
    priority: 1000,
    addProseMirrorPlugins: () => [
      new Plugin({ filterTransaction: (tr, state) => fits(tr.doc, state.doc, tr.docChanged) }),
    ],
    addKeyboardShortcuts: () => ({
      'Mod-Enter': () => (handlers.done(), true),
      Escape: () => (handlers.done(), true),
    }),
  });
  return new Editor({
    element: place,
    extensions: [
      keys,
      StarterKit.configure({
        blockquote: false,
        code: false,
        codeBlock: false,
        heading: false,
        horizontalRule: false,
        link: false,
        strike: false,
        underline: false,
        dropcursor: false,
        gapcursor: false,
        trailingNode: false,
      }),
    ],
    content: { type: 'doc', content: parts.length ? parts.map(toNode) : [{ type: 'paragraph' }] },
    editorProps: {
      attributes: { role: 'textbox', 'aria-multiline': 'true', 'aria-label': label, class: 'rich-field' },
    },
    onUpdate: () => handlers.changed(),
    onTransaction: ({ editor }) => handlers.moved(editor),
  });
}

/** At once: the editor's own way waits for the next frame, where the page draws what else the press has brought about. */
export function focusAtEnd({ view }: Editor): void {
  view.dispatch(view.state.tr.setSelection(Selection.atEnd(view.state.doc)));
  view.focus();
}

/** Words as they are, without style. */
export function writeAtEnd({ view }: Editor, text: string): void {
  view.dispatch(view.state.tr.insertText(text));
}

export const partsOf = (editor: Editor): RichPart[] => partsOfDoc(editor.state.doc);
const partsOfDoc = (doc: Node): RichPart[] => ((doc.toJSON() as JSONContent).content ?? []).map(fromNode);

function runNodes(runs: readonly Run[]): JSONContent[] {
  return runs.flatMap((r) =>
    r.text.split('\n').flatMap((text, i): JSONContent[] => {
      const marks = [...(r.strong ? [{ type: 'bold' }] : []), ...(r.em ? [{ type: 'italic' }] : [])];
      return [...(i ? [{ type: 'hardBreak' }] : []), ...(text ? [{ type: 'text', text, marks }] : [])];
    }),
  );
}

const paragraph = (runs: readonly Run[]): JSONContent => ({ type: 'paragraph', content: runNodes(runs) });

function toNode(p: RichPart): JSONContent {
  if (p.kind === 'paragraph') return paragraph(p.runs);
  return {
    type: p.ordered ? 'orderedList' : 'bulletList',
    content: p.items.map((runs) => ({ type: 'listItem', content: [paragraph(runs)] })),
  };
}

function runsIn(node: JSONContent): Run[] {
  if (node.type === 'text' || node.type === 'hardBreak') {
    const has = (name: string) => node.marks?.some((m) => m.type === name) ?? false;
    return [{ text: node.text ?? '\n', strong: has('bold'), em: has('italic') }];
  }
  return (node.content ?? []).flatMap((n, i) => [
    ...(i > 0 && n.type === 'paragraph' ? [{ text: '\n', strong: false, em: false }] : []),
    ...runsIn(n),
  ]);
}

function fromNode(node: JSONContent): RichPart {
  if (node.type === 'bulletList' || node.type === 'orderedList')
    return { kind: 'list', ordered: node.type === 'orderedList', items: (node.content ?? []).map(runsIn) };
  return { kind: 'paragraph', runs: runsIn(node) };
}
