import { singulars } from '../text/words';

/** Words that may stand beside a food and change nothing that the planner counts, folded. */
const plainWords = new Set(
  [
    // how it was bought
    'fresh freshly good quality best organic free range large medium small big ripe firm tender young baby lean extra virgin',
    'raw dry store bought shop bought homemade ready made leftover plain natural pure unsweetened sweetened pack packed loose',
    'boneless skinless bone in skin on off skinned deboned trimmed fat rind removed center centre middle cut cuts piece pieces',
    'chunk chunks floret florets stem stems stalk stalks leaf leaves root tip tips seed seeds seeded deseeded cored pitted',
    'stone stoned peeled unpeeled scrubbed halved quartered half quarter each size sized bite thick thin thinly thickly finely',
    'fine coarse coarsely roughly rough chopped grated shredded crushed minced mashed torn crumbled sliced diced cubed julienned',
    'beaten lightly melted softened room temperature cold warm cooled divided separated packed level heaped plus more extra for',
    'about approximately to taste optional if needed as desired such like or and the a an of with into at from on in by your',
    'favorite favourite any other kind type color colour mixed assorted white yellow red green brown black dark light whole',
    'regular standard style normal long short grain thawed defrosted drained dissolved diluted rinsed washed cleaned deveined shell tail',
    'tails sodium salt salted unsalted low reduced no added free fat full only part parts lengthwise crosswise diagonal ring rings',
    'wedge wedges bunch sprig can canned tin tinned jar jarred bottled box boxed bag packet cooked uncooked not drain reserved',
    'slivered flaked blanched well very just more less handful adjust need needed use used using see note notes above below per person cut into strip',
    'strips slice slices cube cubes dice bashed bruised snapped broken split slit lean heritage smoked ground powder powdered dried frozen inch',
    'ounce gram pound weight total then optional approx ca also known called garnish serving serve hot spicy mild sweet sour',
    'sharp strong unripe juice zest liquid stick sticks squeezed toasted roasted fried browned cm mm minute minutes min hour hours',
    'chopd chpd choppd slicd peeld dicd squeeze until runs run clear against thai pearled moisture undrained fire moon moons net wt matchstick thumb quick good pasture raised grass fed wild caught sustainably farmed scored tough outer inner ends end',
    'boiling hard lukewarm tepid coin coins rounds century preserved up between bones veg mexican anillas planas all both golden crisp wide narrow flat curly jointed trim topping picked tied together washed dried pat soaked overnight water it them this that will you we i can be',
    'thread threads strand strands closed open cup shelled fillet fillets steak steaks joint joints smashed pureed drizzling drizzle greasing frying boiled pinch sopera soperas postre juiced casing casings cook time cooking minutes seasoned marinated bought brand preferred separate whisked deep cleaned uncut',
    // Spanish
    'fresco fresca frescos frescas grande grandes pequeno pequena pequenos pequenas mediano mediana maduro madura maduros maduras',
    'picado picada picados picadas cortado cortada cortados cortadas pelado pelada pelados peladas troceado troceada rallado rallada',
    'variado variados variada variadas surtido surtidas finamente muy bien al gusto a la el los las un una de del con sin en y o para por cada unos unas aproximadamente trozos trozo trocitos trocito lonchas loncha',
    'piel hueso limpio limpia limpios limpias entero entera enteros enteras molido molida molidos molidas seco seca secos secas',
    'deshuesado deshuesada deshuesados deshuesadas cubos cubo dados dado tiras tira rodajas rodaja laminas juliana brunoise cuartos',
    'mitad mitades lata bote escurrido escurrida escurridos escurridas disuelto disuelta diluida cocido cocida congelado congelada lavado lavada caliente frio',
    'fria templado opcional blanco blanca rojo roja verde amarillo amarilla natural ecologico calidad buena buen virgen suave',
    'machacado machacados aplastado aplastados gruesa grueso gruesos fina fino finos gusto cantidad necesaria servir decorar',
  ].flatMap((line) => line.split(' ')),
);

/** Whether the word changes nothing and need not be understood. */
export const isPlain = (word: string): boolean =>
  /^\d/.test(word) || word.length < 2 || singulars(word).some((w) => plainWords.has(w));
