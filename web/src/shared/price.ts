/** Minor money as the shop writes it. @example price(190) // '1.90 €' */
export function price(minor: number): string {
  return `${(minor / 100).toFixed(2)} €`;
}
