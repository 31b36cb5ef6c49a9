export { fluidById, fluidIds, fluids, type Fluid, type FluidId } from './fluids.js';
export { gradeLimits, hotGrade, oilDensity, oilIds, oils, winterGrade, type Oil, type OilId, type TwoViscosities } from './oils.js';
