export * from './problem';
export * from './reasoned';
export * from './source';
export { nearest } from './nearest';
export * from './quantity/units';
export * from './quantity/parse';
export * from './quantity/convert';
export * from './measures';
export * from './quantity/show';
export * from './food/record';
export { foods, foodIds, findFood, measurable } from './food/find';
export { stableJson } from './stable-json';
export { threeWay, type Merged } from './three-way';
export { ownFoodId, ownFoodSchema, recordAmong, recordOf, type FoodOf, type OwnFood } from './food/own-food';
export { saturationC, saturationPa } from './water/saturation';
export { ambientPa, steamC } from './water/atmosphere';
export { pots, potIds, baseAreaCm2, type PotProfile } from './pot/profile';
export { isSamePot, ownPotId, ownPotSchema, potProfile, type OwnPot, type PotRef } from './pot/own-pot';
export { heaterW } from './pot/heater';
export { type PotRun as CookRun, type Program, type Release } from './pot/program';
export { PotState, type Load } from './pot/state';
export { step as stepPot } from './pot/step';
export { Recorder } from './pot/history';
export { pieceOf } from './plan/gather/shape';
export { isMince } from './food/meats';
export { bandKey } from './plan/judge/band-key';
export { turnsTranslucent } from './plan/setup/fry';
export { bandEdges, bandOf, type GrainBand, type Texture } from './grain/texture';
export { ranged } from './ranged';
export { ingredientNames, nameOrFood, withFood, type IngredientNames } from './dish/ingredient-names';
export { checkToTaste, ingredientGrams } from './dish/ingredient-grams';
export { fields } from './dish/fields';
export * from './dish/schema';
export * from './dish/kitchen';
export * from './dish/learned';
export { learn, learnFrom, mostCooks, nothingRemembered, type Remembered } from './learn/learn';
export { unknownFrom } from './learn/learned-of';
export { asEvidence } from './learn/observation';
export { calibrationDish } from './learn/calibration';
export { observedSd, type PotParameter } from './learn/parameters';
export { inSteps, ratingEdges } from './learn/ordinal';
export { nextTime, withNextTime, type NextTime } from './learn/next-time';
export { lessonIds, type Guess, type LessonId, type LessonPot, type LessonRow, type LessonRun } from './lab/lesson';
export { lessons } from './lab/lessons';
export { cookLesson } from './lab/cook-lesson';
export { lessonOfPractice } from './lab/of-practice';
export { starter } from './dish/starters';
export { fold } from './recipe/text/words';
export { suggestFoods } from './recipe/suggest';
export { ingredientName, namesOf, type Language } from './recipe/names/food-names';
export { askedBelow, ownOf, readLine, type Own, type ReadLine } from './recipe/line/line';
export { binders, usualBinder, type Binder } from './food/binder';
export { ownAmountOf } from './recipe/line/own-measures';
export {
  ownMeasureG,
  ownMeasureId,
  ownMeasureMl,
  ownMeasureSchema,
  scoopOf,
  type OwnMeasure,
} from './food/own-measure';
export * from './recipe/reading';
export { saidParams, type Said } from './recipe/line/said';
export { answeredLine } from './recipe/answer';
export { recipeText } from './recipe/page/recipe-text';
export { freeId } from './dish/free-id';
export { isStructured } from './recipe/page/source-text';
export { importDish, type Imported } from './dish/import';
export { readDish, readKitchen, upgradeDish } from './dish/read';
export { messageOf, problemOf } from './zod-problem';
export { scaleBy, scaleDish, scaleToGrain, type NotScaled, type Scaled } from './dish/scale';
export { scaleToPot } from './plan/questions/scale';
export * from './plan/document/document';
export * from './plan/document/verdicts';
export * from './plan/document/steps';
export * from './plan/document/curve';
export { stepIdSchema, type StepId } from './plan/document/step-id';
export { hotC } from './plan/setup/finish-minutes';
export { leastThinMl } from './plan/setup/bounds';
export { starchOf, stopCount, worstMeat, type Starch } from './plan/judge/verdict';
export { saidAgain, type RefusalText } from './words/again';
export { en as englishWords } from './words/en';
export { es as spanishWords } from './words/es';
export { measuredIn, notKnownCode, type Code, type Params } from './words/sentence';
export { heatKey } from './plan/setup/finish-minutes';
export { waysFor } from './plan/mend';
export { evaluate, plan, planInFull, type PlanOptions } from './plan/plan';
export { asWritten, withWritten, writtenKeys, type Written, type WrittenKey } from './plan/questions/as-written';
export { solvePlan } from './plan/solve-plan';
export { nearOf } from './plan/search/near';
export { checkPlanOf, isPlanOf } from './plan/made-for';
export { learnedMark, potFactors } from './plan/setup/learned';
export { withFactors, type PotFactors } from './pot/factors';
export type { Near } from './plan/search/search';
export { card, pouredOf } from './share/card';
export { recipeLinkedData, recipeMarkdown } from './share/recipe';
export {
  importLog,
  importTable,
  notedRowSchema,
  type ImportedLog,
  type LeftOut,
  type NotedRow,
} from './share/log-import';
export { logColumns, logCsv, logFile, logFormat, logSchema, readLog, type LogFile, type Shelved } from './share/log';
export { archiveManifest, readArchiveManifest, type ArchiveFile } from './share/archive';
export { isLearnedNumber, learnedBehind, type LearnedNumber } from './plan/learned-moved';
export { compareSchools, type School } from './plan/questions/schools';
export { donenessMap, type DonenessMap } from './plan/questions/map';
export { uncertainty, type Uncertainty } from './plan/questions/uncertainty';
export { equalise, struggles, type Proposal } from './plan/equalise';
export { ratios, type Ratios } from './plan/questions/ratios';
export { coolLayer, crustFor, deepestLayerMm, slurryFor } from './plan/write/leftovers';
export { calendar, eveningCalendar } from './cook/calendar';
export { schedule, type Schedule } from './cook/schedule';
export { evening, type Clash, type Evening, type EveningDish, type EveningTask, type PlacedDish } from './cook/evening';
export * from './cook/events';
export { inOrder } from './cook/order';
export { hasOldUndo, upgradeEvents } from './cook/old-events';
export * from './cook/cook';
export * from './cook/ratings';
export * from './cook/summary';
export { cookFromNotes, type NotedCook } from './cook/noted';
export { actualOf, type Actual } from './cook/actual';
export { endsSomething, openedForRunMs, restarts, runsBefore, standingEvents } from './cook/runs';
export { cookTimeline, runsByItself, type CookSoFar, type CookTimeline } from './cook/timeline';
export type { TimedStep } from './cook/timed-step';
export { curveFromTaps, firstCurveFromTaps } from './cook/tapped-curve';
export { realityOf } from './cook/reality';
export { whatMoved, type Moved } from './cook/moved';
export { outlook, type Outlook, type Reality } from './cook/outlook';
export { loadOfFirst, loadOfPlan, resultOf, type CookResult } from './cook/result';
export { type Debrief, type Noticed } from './cook/look-back';
export { rescue } from './rescue/rescue';
export { symptoms, type Answers, type Detour, type Move, type MoveStep, type Symptom } from './rescue/moves';
export { firstSymptoms } from './rescue/first-stage';
export { schedulesFor, type KnownProgram } from './plan/questions/schedules';
export { bowlCapacityLitres, trivetMm, usualBowl, type InnerBowl } from './pot/inner-bowl';
export { bowlLimit } from './plan/setup/bounds';
