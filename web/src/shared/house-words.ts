import { Pipe, type PipeTransform } from '@angular/core';
import { inHouseUnits, type UnitSystem } from '@gewinde/core';

/** A sentence of the core with its figures in the units of the house. */
@Pipe({ name: 'houseWords' })
export class HouseWords implements PipeTransform {
  transform(text: string, system: UnitSystem): string {
    return inHouseUnits(text, system);
  }
}
