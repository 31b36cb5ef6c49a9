/** Water's saturation line from 99 to 374 °C: log10 p (mmHg) = A − B/(C + t). Source: Antoine's constants as handbooks print them, from memory. */
const ANTOINE = { a: 8.14019, b: 1810.94, c: 244.485 };
const MMHG_PER_BAR = 750.062;
/** How much later a mixture of half glycol boils, K. Common practice. */
const GLYCOL_K = 8;

/** Temperature at which half glycol, half water boils under an absolute pressure, °C. @param absoluteBar 0.3…10 */
export function coolantBoilsC(absoluteBar: number): number {
  const { a, b, c } = ANTOINE;
  return b / (a - Math.log10(absoluteBar * MMHG_PER_BAR)) - c + GLYCOL_K;
}
