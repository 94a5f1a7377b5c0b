import aubergineLambSheets from './dishes/aubergine-lamb-sheets.json';
import beefBeetrootDillPasta from './dishes/beef-beetroot-dill-pasta.json';
import chickenRackRedRice from './dishes/chicken-rack-red-rice.json';
import duckOkraJambalaya from './dishes/duck-okra-jambalaya.json';
import einkornBerries from './dishes/einkorn-berries.json';
import goatCurryBowlRice from './dishes/goat-curry-bowl-rice.json';
import guineaFowlMushroomRisotto from './dishes/guinea-fowl-mushroom-risotto.json';
import lambApricotBiryani from './dishes/lamb-apricot-biryani.json';
import plainLongGrain from './dishes/plain-long-grain.json';
import porkFennelBeanRigatoni from './dishes/pork-fennel-bean-rigatoni.json';
import rabbitMustardOrzoSoup from './dishes/rabbit-mustard-orzo-soup.json';
import smallPotatoesRack from './dishes/small-potatoes-rack.json';
import frozenChickenRice from './dishes/frozen-chicken-rice.json';
import spinachCheeseSheets from './dishes/spinach-cheese-sheets.json';
import stirredTomatoRice from './dishes/stirred-tomato-rice.json';
import turkeyLeekLemon from './dishes/turkey-leek-lemon.json';
import venisonJuniperBarley from './dishes/venison-juniper-barley.json';

/** The dishes of Cloudberry Hut as documents, one of nearly every family; the last is tonight's. */
export const demoDishes: Record<string, unknown> = {
  'stirred-tomato-rice': stirredTomatoRice,
  'frozen-chicken-rice': frozenChickenRice,
  'spinach-cheese-sheets': spinachCheeseSheets,
  'small-potatoes-rack': smallPotatoesRack,
  'plain-long-grain': plainLongGrain,
  'einkorn-berries': einkornBerries,
  'aubergine-lamb-sheets': aubergineLambSheets,
  'chicken-rack-red-rice': chickenRackRedRice,
  'goat-curry-bowl-rice': goatCurryBowlRice,
  'rabbit-mustard-orzo-soup': rabbitMustardOrzoSoup,
  'beef-beetroot-dill-pasta': beefBeetrootDillPasta,
  'guinea-fowl-mushroom-risotto': guineaFowlMushroomRisotto,
  'venison-juniper-barley': venisonJuniperBarley,
  'pork-fennel-bean-rigatoni': porkFennelBeanRigatoni,
  'duck-okra-jambalaya': duckOkraJambalaya,
  'lamb-apricot-biryani': lambApricotBiryani,
  'turkey-leek-lemon': turkeyLeekLemon,
};
