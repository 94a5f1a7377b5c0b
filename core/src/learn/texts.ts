import type { PotParameter } from './parameters';
import type { Teaching } from './next';

/** What a log cannot tell of a pot or a cook, and what would, in plain English. */
export const unknownTexts: Readonly<Record<string, string>> = {
  heat: 'How strongly the pot heats is not known yet: tap when the pin rises.',
  loss: 'How fast the pot loses heat is not known yet: let the pin fall by itself once and tap it.',
  leak: 'How much steam the lid lets past is not known: weigh the closed pot before and after once.',
  vent: 'How fast the valve empties the pot is not known yet: tap when the valve is opened and when the pin falls.',
  set: 'The pressure that the pot holds is not known: read a gauge once, if the pot has one.',
  metal: 'What the metal takes up is not known apart from the heat: cook a small and a large dish and tap the pin.',
  purge: 'How the pot drives out its air is not known; taps hardly tell it.',
  sense: 'When the pot begins to count is not known yet: tap when its countdown begins.',
  scoop: 'How full the cup is scooped is not known: weigh one cup of the grain.',
  jug: 'How the jug is read is not known: weigh one filling.',
  juice: 'How juicy the food is beside the table is not known.',
  tap: 'How late the taps come is not known.',
  late: 'How late the valve is opened is not known yet.',
  shift: 'How this grain differs from the table is not known yet: rate it a few more times.',
  speed: 'How fast this grain cooks beside the table is not known.',
};
export const tasteUnknown = 'What is just right for this cook is not known yet: rate a few more meals.';
export const predictsWorse =
  'What was learned of this pot forecasts its own cooks worse than the table does, so the table stands.';

/** A change that an alarm calls for. */
export const changeText = (parameter: PotParameter, up: boolean): string => {
  const texts: Partial<Record<PotParameter, [string, string]>> = {
    heat: ['it heats more strongly', 'it heats more weakly'],
    loss: ['it loses heat or steam faster', 'it keeps its heat longer'],
    leak: ['its lid lets more steam past', 'its lid lets less steam past'],
  };
  const [more, less] = texts[parameter] ?? ['it behaves otherwise', 'it behaves otherwise'];
  return `From this cook on ${up ? more : less}: a new ring, another burner, a new pot?`;
};

export const teachingTexts: Readonly<Record<Teaching['what'], string>> = {
  'tap-pin': 'Tap when the pin rises.',
  'natural-tapped': 'Let the pin fall by itself and tap it.',
  weigh: 'Weigh the closed pot before and after.',
  gauge: 'Read the gauge while the pot holds.',
  'rate-grain': 'Rate the grain after the meal.',
};
export const outcomeTexts: Readonly<Record<Teaching['of'], string>> = {
  pin: 'the minutes to the pin',
  natural: 'the minutes of natural release',
  grain: 'the texture',
};
