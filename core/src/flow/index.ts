export { proposeSize } from './propose-size.js';
export { FlowFigureError, kinematicViscosity, viscosityIndex } from './viscosity.js';
export { fuelBoilsUnderBar, petrolVapourBar } from './vapour.js';
export { frictionFactor, LAMINAR_TO, regimeOf, TURBULENT_FROM, type Regime } from './friction.js';
export { dynamicBar, pressureLoss, reynoldsNumber, SMOOTH_MM, velocity, type PipeLoss, type StraightPipe } from './pressure-loss.js';
export { bendTwoK, lossCoefficient, stepCoefficient, twoK, type TwoK, type TwoKName } from './two-k.js';
export {
  AIR_BAR,
  airPressure,
  fluidProperties,
  fromTable,
  oilOf,
  water,
  type FluidProperties,
  type FluidState,
  type ReckonedOil,
} from './fluid-properties.js';
export { HIDDEN_RESTRICTOR_MM, pathOf, pathWith, type FlowPath, type Instead, type Passed } from './flow-path.js';
export { lineLoss, lossAlong, lossBarAlong, type LineLoss, type LossElement, type Stream } from './line-loss.js';
export { flowAtLoss, type LossCurve } from './find-flow.js';
export { dischargeCoefficient, restrictorFlow, restrictorFor, type Restrictor } from './orifice.js';
export { drainCapacity, wetted, type DrainCapacity, type GravityDrain } from './gravity-drain.js';
export { figuresOf, serviceFigures, type Drive, type ServiceFigures } from './service-figures.js';
export { dutyOf, type DutyState, type Figure, type FlowQuestion, type LineDuty, type Missing, type StateId } from './duty.js';
export { headBar, litresIn, runPath, type RunOutcome } from './run-path.js';
export { bearingOf, broughtTo, consumerOf, feedsOf, orificeHole, withSaidRestrictor } from './what-feeds.js';
export { flowThroughHoles, holeLossBar, restrictorForTurbo, turboNeeds, type Bearing, type TurboNeed } from './turbo.js';
export { hoseDutyOf, sizeLine, sizeTaken, type LineSizing, type SizeRun } from './size-line.js';
export { coolantBoilsC } from './boiling.js';
export { outcomeIn } from './held.js';
export { stepDown } from './held-by-fall.js';
export { type SizeColumn, type SizeVerdictId } from './judge-sizes.js';
export { deratedBar, selectHose, type HoseDuty, type HoseVerdict } from './select-hose.js';
export { balance, type BalancedFlow, type FlowEdge, type FlowNode } from './network.js';
export {
  coolerNeed,
  openShare,
  takenBarAt,
  warmUpMinutes,
  WARMING_SHARE,
  type CoolerDuty,
  type CoolerNeed,
  type Thermostat,
  type WarmUp,
} from './cooler-circuit.js';
export { bypassFilter, BYPASS_SHARES, type BypassFilter, type BypassFlow } from './bypass-filter.js';
export { oilVolume, type ComponentVolume, type LineVolume, type OilVolume } from './oil-volume.js';
export { thermostatsOf, type ThermostatPlace } from './thermostats.js';
export { couplerHold, type CouplerJoint, type CouplerVerdict } from './clamped-hose.js';
export { systemOf, type JobSystem, type SystemLine, type SystemProblem } from './system.js';
export { backsUpBetween, sizeCurves, type CurvePoint, type SizeCurves } from './size-curves.js';
export { growthOf, plannedRunning, type Growth } from './planned.js';
export { sizingRows, type SizingRow, type SizingRowId } from './sizing-rows.js';
export { workingOf, type Working, type WorkingStep } from './working.js';
export { stepUps, type StepUp } from './step-up.js';
export { coolerOfJob, WARM_ENOUGH_C, type CoolerOfJob } from './cooler-of-job.js';
export { alongHose, downDrain, throughHole, type OneAnswer } from './one-question.js';
export { bypassOfLine } from './bypass-of-line.js';
export { couplersOfLine, type CouplerOfLine } from './coupler-of-line.js';
