import { Component, signal } from '@angular/core';
import { type ComponentFixture, TestBed } from '@angular/core/testing';
import { afterEach, beforeEach, describe, expect, it, jest } from '@jest/globals';
import { Words } from './words';

@Component({
  imports: [Words],
  template: `<lv-words
    [text]="text()"
    [was]="was()"
    [most]="40"
    label="Question"
    placeholder="Write it"
    (written)="take($event)"
  />`,
})
class Host {
  readonly text = signal('Old words');
  readonly was = signal<string | undefined>(undefined);
  readonly said: string[] = [];
  take(text: string): void {
    this.said.push(text);
    this.text.set(text);
  }
}

let fixture: ComponentFixture<Host>;
let host: HTMLElement;
const field = () => host.querySelector('textarea');
const button = () => host.querySelector('button');

beforeEach(() => {
  jest.useFakeTimers({ doNotFake: ['queueMicrotask', 'nextTick', 'setImmediate', 'requestAnimationFrame'] });
  fixture = TestBed.createComponent(Host);
  host = fixture.nativeElement as HTMLElement;
  fixture.detectChanges();
});
afterEach(() => {
  jest.useRealTimers();
});

describe('words edited where they stand', () => {
  it('say what they are, and are a field once pressed', async () => {
    expect(button()?.getAttribute('aria-label')).toBe('Question: Old words');
    button()?.click();
    fixture.detectChanges();
    expect(field()?.value).toBe('Old words');
    expect(field()?.getAttribute('aria-label')).toBe('Question');
  });

  it('say what was written after a pause, once, and at once on leaving', () => {
    button()?.click();
    fixture.detectChanges();
    const el = field() as HTMLTextAreaElement;
    for (const text of ['N', 'Ne', 'New']) {
      el.value = text;
      el.dispatchEvent(new Event('input'));
      jest.advanceTimersByTime(200);
    }
    expect(fixture.componentInstance.said).toEqual([]);
    jest.advanceTimersByTime(400);
    expect(fixture.componentInstance.said).toEqual(['New']);
    el.value = 'Newer';
    el.dispatchEvent(new Event('input'));
    el.dispatchEvent(new Event('blur'));
    expect(fixture.componentInstance.said).toEqual(['New', 'Newer']);
    fixture.detectChanges();
    expect(field()).toBeNull();
  });

  it('say nothing when nothing was changed', () => {
    button()?.click();
    fixture.detectChanges();
    field()?.dispatchEvent(new Event('blur'));
    jest.runAllTimers();
    expect(fixture.componentInstance.said).toEqual([]);
  });

  it('show what differs from the basis, and a word in place of nothing', () => {
    fixture.componentInstance.was.set('Old plain words that stay as they are');
    fixture.componentInstance.text.set('Old short words that stay as they are');
    fixture.detectChanges();
    expect(host.querySelector('del')?.textContent?.trim()).toBe('plain');
    expect(host.querySelector('ins')?.textContent?.trim()).toBe('short');
    fixture.componentInstance.was.set(undefined);
    fixture.componentInstance.text.set('');
    fixture.detectChanges();
    expect(host.querySelector('.placeholder')?.textContent).toBe('Write it');
    expect(button()?.getAttribute('aria-label')).toBe('Question: empty');
  });
});
