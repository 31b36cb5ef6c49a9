/** Threads of 37° flare and O-ring boss by dash size. Sources: SAE J514, SAE J1926-1. */
export const inchStraightThreads: Readonly<Record<string, { diameter: string; tpi: number }>> = {
  '2': { diameter: '5/16', tpi: 24 },
  '3': { diameter: '3/8', tpi: 24 },
  '4': { diameter: '7/16', tpi: 20 },
  '5': { diameter: '1/2', tpi: 20 },
  '6': { diameter: '9/16', tpi: 18 },
  '8': { diameter: '3/4', tpi: 16 },
  '10': { diameter: '7/8', tpi: 14 },
  '12': { diameter: '1 1/16', tpi: 12 },
  '14': { diameter: '1 3/16', tpi: 12 },
  '16': { diameter: '1 5/16', tpi: 12 },
  '20': { diameter: '1 5/8', tpi: 12 },
  '24': { diameter: '1 7/8', tpi: 12 },
  '32': { diameter: '2 1/2', tpi: 12 },
};
