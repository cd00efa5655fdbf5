import { NO_ERRORS_SCHEMA } from '@angular/core';
import { expect, it, jest } from '@jest/globals';
import { TestBed } from '@angular/core/testing';
import { forLearner, freshBlock, type LearnerBlock } from '@lorvet/core';
import { Picture } from '../picture';
import { SpotsDesk } from './spots/desk';

let n = 0;
const spots = forLearner(freshBlock('spots', 'b', () => `n${++n}`)) as Extract<LearnerBlock, { kind: 'spots' }>;

it('keeps two marks that come faster than the page is drawn anew', () => {
  TestBed.overrideComponent(SpotsDesk, { remove: { imports: [Picture] }, add: { schemas: [NO_ERRORS_SCHEMA] } });
  const fixture = TestBed.createComponent(SpotsDesk);
  const onAnswer = jest.fn();
  fixture.componentRef.setInput('block', { ...spots, assetId: '' });
  fixture.componentRef.setInput('onAnswer', onAnswer);
  fixture.detectChanges();
  const board = (fixture.nativeElement as HTMLElement).querySelector('.board');
  for (const key of ['Enter', 'ArrowRight', 'Enter'])
    board?.dispatchEvent(new KeyboardEvent('keydown', { key, cancelable: true }));
  expect(onAnswer).toHaveBeenLastCalledWith({
    kind: 'points',
    points: [
      { x: 50, y: 50 },
      { x: 54, y: 50 },
    ],
  });
});
