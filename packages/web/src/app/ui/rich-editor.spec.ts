import { afterEach, describe, expect, it } from '@jest/globals';
import { readRich, writeRich } from '@lorvet/core';
import type { Editor } from '@tiptap/core';
import { openEditor, partsOf } from './rich-editor';

let editor: Editor | null = null;
const open = (text: string, most = 1000) => {
  const place = document.createElement('div');
  document.body.append(place);
  const said = { changed: 0, done: 0, full: 0 };
  editor = openEditor(place, readRich(text), 'Text', {
    fits: (parts) => writeRich(parts).length <= most,
    full: () => said.full++,
    changed: () => said.changed++,
    moved: () => undefined,
    done: () => said.done++,
  });
  return { editor, said, place };
};
afterEach(() => editor?.destroy());

describe('the editor of rich words', () => {
  it.each([
    'Plain words.',
    'The **red** and *old* boat, ***both***.',
    'One paragraph.\n\nAnother one.',
    'A line\nand the next.',
    '- one\n- two **strong**',
    '1. first\n2. second',
    'Before\n\n- a\n- b\n\nAfter',
    '2\\. not a list, 3 \\* 4 and a\\_b',
    '',
  ])('gives back what it was given: %j', (text) => {
    expect(writeRich(partsOf(open(text).editor))).toBe(text);
  });

  it('is named, and takes nothing from outside but words and the few marks', () => {
    const { editor: e, said, place } = open('Sea');
    expect(place.querySelector('[role=textbox]')?.getAttribute('aria-label')).toBe('Text');
    e.commands.insertContent('<h1>Big</h1><a href="javascript:x()">link</a><img src="x" onerror="y()"><code>c</code>');
    expect(writeRich(partsOf(e))).not.toMatch(/[<>#`]|javascript|onerror/);
    expect(said.changed).toBeGreaterThan(0);
  });

  it('takes no more than there is room for, and says so; what is too long already can be made shorter', () => {
    const { editor: e, said } = open('Sea', 10);
    e.commands.insertContentAt(4, ' and sand');
    expect([writeRich(partsOf(e)), said.full]).toEqual(['Sea', 1]);
    e.commands.insertContentAt(4, ' sand');
    expect([writeRich(partsOf(e)), said.full]).toEqual(['Sea sand', 1]);
    const long = open('Far too many words', 10);
    long.editor.commands.deleteRange({ from: 1, to: 5 });
    expect([writeRich(partsOf(long.editor)), long.said.full]).toEqual(['too many words', 0]);
  });
});
