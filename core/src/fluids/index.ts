export { fluidById, fluidIds, fluids, type Fluid, type FluidId } from './fluids.js';
