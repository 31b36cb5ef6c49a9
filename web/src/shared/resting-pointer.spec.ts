import { TestBed } from '@angular/core/testing';
import { RestingPointer } from './resting-pointer';

const opening = () => {
  TestBed.inject(RestingPointer);
  document.body.innerHTML = '<ngb-typeahead-window><button role="option">one</button></ngb-typeahead-window><input>';
  const row = document.querySelector<HTMLElement>('[role=option]')!;
  const marked = jest.fn();
  row.addEventListener('mouseenter', marked);
  const enter = () => row.dispatchEvent(new MouseEvent('mouseenter'));
  const move = (x: number) =>
    row.dispatchEvent(Object.assign(new MouseEvent('mousemove', { bubbles: true }), { movementX: x, movementY: 0 }));
  const type = () => document.querySelector('input')!.dispatchEvent(new KeyboardEvent('keydown', { key: 'a', bubbles: true }));
  return { marked, enter, move, type };
};

describe('a pointer over a list that opens under it', () => {
  it('marks no row while it rests', () => {
    const { marked, enter, move } = opening();
    enter();
    // what the browser tells when only the page has moved
    move(0);
    expect(marked).not.toHaveBeenCalled();
  });

  it('marks the row it is on as soon as it moves, and none again after a key', () => {
    const { marked, enter, move, type } = opening();
    enter();
    move(3);
    expect(marked).toHaveBeenCalledTimes(1);
    enter();
    expect(marked).toHaveBeenCalledTimes(2);
    type();
    enter();
    expect(marked).toHaveBeenCalledTimes(2);
  });
});
