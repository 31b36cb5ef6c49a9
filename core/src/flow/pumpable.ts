import { winterGrade } from '../fluids/index.js';
import { quantity } from '../units/index.js';

/**
 * Why an oil does not reach its pump at a cold start; undefined where it does, or where its winter grade is not known. Its grade is proved to
 * pump at 60 Pa·s, and at no lower temperature.
 */
export function doesNotPump({ name }: { readonly name: string }, coldC: number): string | undefined {
  const grade = winterGrade({ name });
  return grade && coldC < grade.pumpsToC
    ? `${name} is proved to pump down to ${quantity(grade.pumpsToC, '°C')} (SAE J300), and it is started at ${quantity(coldC, '°C')}: take a thinner winter grade or warm it`
    : undefined;
}
