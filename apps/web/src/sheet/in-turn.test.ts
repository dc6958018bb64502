/** @jest-environment jsdom */
import { jest } from '@jest/globals';
import { InTurn } from './in-turn.ts';

const frames: FrameRequestCallback[] = [];
const asked = jest.spyOn(globalThis, 'requestAnimationFrame').mockImplementation((frame) => {
  frames.push(frame);
  return frames.length;
});
const refused = jest.spyOn(globalThis, 'cancelAnimationFrame').mockImplementation((id) => {
  frames.splice(id - 1, 1);
});
afterAll(() => [asked, refused].forEach((spy) => spy.mockRestore()));

function written(count: number) {
  const turns: number[][] = [];
  const waiting = new InTurn<number, number>((some) => turns.push([...some]));
  for (let k = 0; k < count; k += 1) waiting.put(k, k);
  waiting.start();
  return { turns, waiting };
}

describe('InTurn', () => {
  it('writes few at once, and asks for no frame', () => {
    expect(written(40).turns).toEqual([Array.from({ length: 40 }, (_, k) => k)]);
    expect(frames).toEqual([]);
  });

  it('writes many in order, so many with every frame', () => {
    const { turns } = written(400);
    expect(turns.map(({ length }) => length)).toEqual([150]);
    while (frames.length > 0) frames.shift()!(0);
    expect(turns.map(({ length }) => length)).toEqual([150, 150, 100]);
    expect(turns.flat()).toEqual(Array.from({ length: 400 }, (_, k) => k));
  });

  it('takes the newer piece of the same key, and none after it is stopped', () => {
    const { turns, waiting } = written(400);
    waiting.put(399, 1000);
    frames.shift()!(0);
    expect(turns).toHaveLength(2);
    waiting.stop();
    expect(frames).toEqual([]);
    waiting.put(7, 7);
    waiting.start();
    expect(turns.at(-1)).toEqual([7]);
    expect(turns.flat()).not.toContain(1000);
  });
});
