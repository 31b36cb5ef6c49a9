import fc from 'fast-check';
import { ChainQueue } from './chain-queue.js';

describe('the queue', () => {
  it('gives the least first, equals in the order they came, whatever is put in between', () => {
    const steps = fc.array(fc.oneof(fc.integer({ min: 0, max: 9 }), fc.constant('take' as const)), { maxLength: 80 });
    fc.assert(
      fc.property(steps, (list) => {
        const queue = new ChainQueue<{ value: number; order: number }>((a, b) => a.value - b.value);
        const plain: { value: number; order: number }[] = [];
        list.forEach((step, order) => {
          if (step === 'take') {
            plain.sort((a, b) => a.value - b.value || a.order - b.order);
            expect(queue.shift()).toEqual(plain.shift());
          } else {
            queue.push({ value: step, order });
            plain.push({ value: step, order });
          }
        });
        plain.sort((a, b) => a.value - b.value || a.order - b.order);
        for (const item of plain) expect(queue.shift()).toEqual(item);
        expect(queue.shift()).toBeUndefined();
      }),
    );
  });
});
