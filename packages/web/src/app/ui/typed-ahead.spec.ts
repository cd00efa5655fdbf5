import { TestBed } from '@angular/core/testing';
import { afterEach, beforeEach, describe, expect, it, jest } from '@jest/globals';
import { TypedAhead } from './typed-ahead';

describe('what is typed before its field is there', () => {
  let ahead: TypedAhead;
  let button: HTMLButtonElement;
  let pressed: number;
  const key = (name: string, on: Element = button) => {
    const event = new KeyboardEvent('keydown', { key: name, bubbles: true, cancelable: true });
    return on.dispatchEvent(event);
  };
  const type = (text: string) => [...text].forEach((letter) => key(letter));
  const field = (inside = '') => {
    document.body.insertAdjacentHTML('beforeend', `<form><input maxlength="20" value="${inside}"></form>`);
    return document.body.lastElementChild?.firstElementChild as HTMLInputElement;
  };
  beforeEach(() => {
    TestBed.configureTestingModule({});
    ahead = TestBed.inject(TypedAhead);
    document.body.innerHTML = '<button>Open</button>';
    button = document.body.firstElementChild as HTMLButtonElement;
    pressed = 0;
    button.addEventListener('keydown', (e) => e.key === 'Enter' && pressed++);
  });
  afterEach(() => {
    jest.restoreAllMocks();
    document.body.innerHTML = '';
  });

  it('stands in it, with what was there, and no more than it has room for', () => {
    button.click();
    type('of the quayx');
    key('Backspace');
    const input = field('Knots ');
    ahead.into(input);
    expect([input.value, document.activeElement]).toEqual(['Knots of the quay', input]);
    type('and far more than that');
    const other = field();
    ahead.into(other);
    expect(other.value).toHaveLength(20);
  });

  it('has its spaces, which press nothing that has the focus still; before any word they do', () => {
    const release = () =>
      button.dispatchEvent(new KeyboardEvent('keyup', { key: ' ', bubbles: true, cancelable: true }));
    button.click();
    expect([key(' '), release()]).toEqual([true, true]);
    key('Backspace');
    type('Knots');
    expect([key(' '), release()]).toEqual([false, false]);
    type('and bends');
    const input = field();
    ahead.into(input);
    expect(input.value).toBe('Knots and bends');
  });

  it('is sent by Enter after it, and the next field has what follows', async () => {
    button.click();
    type('new master');
    key('Enter');
    type('Knots');
    key('Enter');
    expect(pressed).toBe(0);
    const [first, second] = [field(), field()];
    const sent: string[] = [];
    for (const input of [first, second])
      input.form?.addEventListener('submit', (e) => {
        e.preventDefault();
        sent.push(input.value);
      });
    const turn = () => new Promise((done) => setTimeout(done));
    ahead.into(first);
    await turn();
    expect(sent).toEqual(['new master']);
    ahead.into(second);
    await turn();
    expect(sent).toEqual(['new master', 'Knots']);
  });

  it('leaves Enter to what has the focus where nothing was pressed that could open a field, or a list looks for letters', () => {
    type('x');
    key('Enter');
    expect(pressed).toBe(1);
    button.click();
    button.setAttribute('role', 'combobox');
    type('x');
    key('Enter');
    expect(pressed).toBe(2);
  });

  it('is let go after a while, with Escape, and by what opens without a field', () => {
    const at = jest.spyOn(performance, 'now');
    button.click();
    type('old');
    at.mockReturnValue(performance.now() + 4000);
    const input = field();
    ahead.into(input);
    type('no');
    key('Escape');
    ahead.into(input);
    type('?');
    ahead.into(button);
    ahead.into(input);
    expect(input.value).toBe('');
  });
});
