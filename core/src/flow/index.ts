export { FlowFigureError, kinematicViscosity, viscosityIndex, type TwoViscosities } from './viscosity.js';
export { frictionFactor, LAMINAR_TO, regimeOf, TURBULENT_FROM, type Regime } from './friction.js';
export { dynamicBar, pressureLoss, reynoldsNumber, SMOOTH_MM, velocity, type PipeLoss, type StraightPipe } from './pressure-loss.js';
export { bendTwoK, lossCoefficient, stepCoefficient, twoK, type TwoK, type TwoKName } from './two-k.js';
export { gradeLimits, hotGrade, oilDensity, oils, type Oil } from './oils.js';
export { lineLoss, type LineLoss, type LossElement, type Running } from './line-loss.js';
export { dischargeCoefficient, restrictorFlow, restrictorFor, type Restrictor } from './orifice.js';
export { drainCapacity, wetted, type DrainCapacity, type GravityDrain } from './gravity-drain.js';
