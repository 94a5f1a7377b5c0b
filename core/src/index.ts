export * from './problem';
export * from './reasoned';
export * from './source';
export { nearest } from './nearest';
export * from './quantity/units';
export * from './quantity/parse';
export * from './quantity/convert';
export * from './quantity/show';
export * from './food/record';
export { foods, foodIds, findFood, measurable } from './food/find';
export { saturationC, saturationPa } from './water/saturation';
export { ambientPa, steamC } from './water/atmosphere';
export { pots, potIds, baseAreaCm2, type PotProfile } from './pot/profile';
export { heaterW, type CookRun, type Program, type Release } from './pot/cook';
export { PotState, type Load } from './pot/state';
export { step as stepPot } from './pot/step';
export { Recorder } from './pot/history';
export { bandEdges, bandOf, type GrainBand, type Texture } from './grain/texture';
export * from './dish/schema';
export * from './dish/kitchen';
export { starter } from './dish/starters';
export { parseLine, suggestFoods, type ParsedLine } from './dish/line';
export { importDish, type Imported } from './dish/import';
export { readDish, readKitchen, upgradeDish, problemOf } from './dish/read';
export { scaleBy, scaleDish, scaleToGrain, type NotScaled, type Scaled } from './dish/scale';
export { scaleToPot } from './plan/scale';
export * from './plan/document';
export { hotC } from './plan/finish-minutes';
export { leastThinMl } from './plan/scorch';
export { starchOf, stopCount, worstMeat, type Starch } from './plan/verdict';
export { plan, evaluate, type PlanOptions } from './plan/plan';
export { solvePlan } from './plan/solve-plan';
export { nearOf } from './plan/near';
export type { Near } from './plan/search';
export { card } from './plan/card';
export { compareSchools, type School } from './plan/schools';
export { donenessMap, type DonenessMap } from './plan/map';
export { uncertainty, type Uncertainty } from './plan/uncertainty';
export { equalise, strugglers, type Proposal } from './plan/equalise';
export { ratios, type Ratios } from './plan/ratios';
export { coolLayer, crustFor, deepestLayerMm, slurryFor } from './plan/keep';
export { calendar } from './clock/calendar';
export { schedule, type Schedule } from './clock/schedule';
export { outlook, type Outlook, type Reality } from './cook/outlook';
export { rescue } from './rescue/rescue';
export { symptoms, type Answers, type Detour, type Move, type MoveStep, type Symptom } from './rescue/moves';
export { firstSymptoms } from './rescue/first-stage';
export { endsSomething, standingEvents, ofThisRun, openedForRunMs, restarts, runsBefore, type Lid } from './cook/runs';
export { lockedAgain } from './cook/rescued-steps';
export { eventKinds, type CookEvent, type EventKind, type TimedStep } from './cook/events';
export { ownHoldMin, cookTimeline, runsByItself, type CookTimeline } from './cook/timeline';
export * from './cook/cook';
export { curveFromTaps, firstCurveFromTaps } from './cook/tapped-curve';
export { realityOf } from './cook/reality';
export { resultOf, loadOfFirst, loadOfPlan, type CookResult } from './cook/result';
export { type Debrief, type Noticed } from './cook/look-back';
export {
  evening,
  type Clash,
  type Evening,
  type EveningDish,
  type EveningTask,
  type PlacedDish,
} from './clock/evening';
export { schedulesFor, type KnownProgram } from './plan/schedules';
