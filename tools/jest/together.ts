/**
 * The specs of a room in one world: what they stand on is loaded once, not once a spec, which was most of the time of the short ones.
 * What one of them holds (the clock, what stands in for something) must not reach the next.
 */
declare const specs: readonly { readonly name: string; readonly file: string }[];

afterEach(() => {
  jest.useRealTimers();
  jest.restoreAllMocks();
});

for (const { name, file } of specs) describe(name, () => void jest.requireActual(file));
