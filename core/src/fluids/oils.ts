/** A fluid's viscosity at the two temperatures of its data sheet, cSt (mm²/s). */
export interface TwoViscosities {
  readonly v40: number;
  readonly v100: number;
}

/** An oil as flow is reckoned with. */
export interface Oil extends TwoViscosities {
  readonly id: string;
  readonly name: string;
  /** Density at 15 °C, kg/m³. */
  readonly density15: number;
}

/**
 * Oils by SAE grade: typical data-sheet values, within the limits of SAE J300 at 100 °C. Common practice: the sheet of the oil in hand goes first.
 */
const table = [
  { id: '0w20', name: '0W-20', v40: 44, v100: 8.3, density15: 842 },
  { id: '5w20', name: '5W-20', v40: 48, v100: 8.5, density15: 851 },
  { id: '0w30', name: '0W-30', v40: 62, v100: 11.5, density15: 842 },
  { id: '5w30', name: '5W-30', v40: 66, v100: 11, density15: 852 },
  { id: '0w40', name: '0W-40', v40: 78, v100: 13.8, density15: 845 },
  { id: '5w40', name: '5W-40', v40: 85, v100: 14, density15: 853 },
  { id: '10w40', name: '10W-40', v40: 96, v100: 14.4, density15: 866 },
  { id: '5w50', name: '5W-50', v40: 108, v100: 17.5, density15: 853 },
  { id: '10w50', name: '10W-50', v40: 122, v100: 18, density15: 858 },
  { id: '10w60', name: '10W-60', v40: 160, v100: 23.5, density15: 852 },
  { id: '15w40', name: '15W-40', v40: 107, v100: 14.5, density15: 880 },
  { id: '15w50', name: '15W-50', v40: 130, v100: 18.5, density15: 872 },
  { id: '20w50', name: '20W-50', v40: 165, v100: 18.8, density15: 885 },
  { id: '30', name: 'SAE 30', v40: 95, v100: 10.8, density15: 888 },
] as const;

export type OilId = (typeof table)[number]['id'];
export const oils: readonly Oil[] = table;
export const oilIds = table.map((oil) => oil.id);

/** Kinematic viscosity at 100 °C by SAE J300, cSt: from, and to but not including. From memory. */
export const gradeLimits: Readonly<Record<string, readonly [from: number, below: number]>> = {
  '8': [4, 6.1],
  '12': [5, 7.1],
  '16': [6.1, 8.2],
  '20': [6.9, 9.3],
  '30': [9.3, 12.5],
  '40': [12.5, 16.3],
  '50': [16.3, 21.9],
  '60': [21.9, 26.1],
};

/**
 * Winter grades by SAE J300: the lowest temperature at which an oil is proved to pump (60 Pa·s at most), and at which it is proved to crank, °C.
 * From memory.
 */
const winterGrades: Readonly<Record<string, { readonly pumpsToC: number; readonly cranksToC: number }>> = {
  '0W': { pumpsToC: -40, cranksToC: -35 },
  '5W': { pumpsToC: -35, cranksToC: -30 },
  '10W': { pumpsToC: -30, cranksToC: -25 },
  '15W': { pumpsToC: -25, cranksToC: -20 },
  '20W': { pumpsToC: -20, cranksToC: -15 },
  '25W': { pumpsToC: -15, cranksToC: -10 },
};

/** What an oil is proved to do in the cold, by the winter grade in its name; undefined where it has none. */
export function winterGrade({ name }: Pick<Oil, 'name'>): { readonly pumpsToC: number; readonly cranksToC: number } | undefined {
  return winterGrades[/(\d+)\s*W/i.exec(name)?.[1]?.concat('W') ?? ''];
}

/** The hot grade of an oil: 40 of 10W-40. */
export function hotGrade({ name }: Pick<Oil, 'name'>): string {
  return /(\d+)$/.exec(name)![1]!;
}

/** Fall of an oil's density with heat, kg/m³ per K. Common practice. */
const DENSITY_FALL = 0.65;

/** Density of an oil at a temperature, kg/m³. */
export function oilDensity({ density15 }: Pick<Oil, 'density15'>, tempC: number): number {
  return density15 - DENSITY_FALL * (tempC - 15);
}
