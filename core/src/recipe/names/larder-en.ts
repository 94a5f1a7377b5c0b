/** English names of everything else: see names-en. */
export const larderEn: Readonly<Record<string, string>> = {
  water: 'water, boiling water, hot water, cold water, tap water, pasta water, pani',
  broth:
    'broth, stock, chicken stock, chicken broth, vegetable stock, vegetable broth, beef stock, beef broth, veggie broth, veggie stock, bone broth, turkey stock, turkey broth, meat stock, lamb stock, mushroom stock, veg stock, broth or stock, mushroom broth, game stock, bouillon, liquid stock',
  'broth-low-salt':
    'low salt broth, low salt stock, low sodium broth, low sodium stock, unsalted broth, unsalted stock, homemade stock, homemade broth, broth low salt, homemade chicken stock, no salt added broth',
  'wine-red': 'red wine, wine red, dry red wine, burgundy',
  'wine-white': 'white wine, dry white wine, wine white, wine, cooking wine, prosecco',
  beer: 'beer, lager, ale, stout, dark beer',
  'soy-sauce': 'soy sauce, soy, tamari, light soy sauce, dark soy sauce, shoyu, light soy, dark soy',
  'fish-sauce': 'fish sauce, nam pla, nuoc mam',
  'worcestershire-sauce': 'brown table sauce, worcestershire sauce, worcestershire, worcester sauce',
  'hot-sauce': 'hot sauce, chili sauce, chilli sauce, pepper sauce, hot pepper sauce, sriracha, piri piri sauce',
  vinegar:
    'vinegar, white vinegar, wine vinegar, red wine vinegar, white wine vinegar, cider vinegar, apple cider vinegar, rice vinegar, balsamic vinegar, balsamic, sherry vinegar, malt vinegar',
  'lemon-juice':
    'lemon juice, juice of lemon, lime juice, juice of lime, lemon, lime, juice lemon, juice lime, fresh lemon juice',
  'orange-juice': 'orange juice, juice of orange',
  'coconut-milk': 'coconut milk, light coconut milk, lite coconut milk, coconut cream, cream of coconut',
  'tomato-diced-canned':
    'diced tomato canned, canned diced tomato, chopped tom, tinned tom, chopped tomato tin, diced tomato, canned tomato, tinned tomato, chopped tomato canned, canned chopped tomato, tinned chopped tomato, tomato diced canned, canned tomatoes with juice, peeled plum tomato, plum tomato canned, canned plum tomato, tinned plum tomato, fire roasted tomato, stewed tomato, canned whole tomato, petite diced tomato, tomato and green chile, tomato and green chili, tomato and green chilli, tomato and chile, tomato and chili, tomato and chilli, tomato with green chile, tomato with green chili, tomato with chile, tomato with chili, tomato chile, tomato green chile',
  'tomato-crushed-canned':
    'crushed tomato, canned crushed tomato, tomato crushed canned, tomato puree, passata, sieved tomato, strained tomato, pureed tomato, pulped tomato, crushed tomato canned',
  'tomato-sauce':
    'tomato sauce, marinara, marinara sauce, pasta sauce, spaghetti sauce, pizza sauce, jarred tomato sauce',
  'tomato-paste':
    'tomato paste, sun dried tomato paste, tomato concentrate, tomato puree concentrate, double concentrated tomato paste, concentrated tomato paste, salca, tomato salca, domates salcasi, ~pepper salca',
  salsa: 'salsa, tomato salsa, salsa roja, red salsa, pico de gallo, salsa verde, green salsa',
  milk: 'milk, whole milk, semi skimmed milk, skimmed milk, skim milk, full fat milk, cow milk',
  'milk-evaporated': 'evaporated milk, unsweetened condensed milk',
  'soup-condensed':
    'condensed soup, condensed cream soup, cream of chicken, cream of chicken soup, cream of mushroom, cream of mushroom soup, cream of celery, cream of celery soup, condensed cream of chicken soup, condensed cream of mushroom soup, ~cheddar cheese soup, ~golden mushroom soup',
  'milk-condensed': 'condensed milk, sweetened condensed milk',
  'cream-heavy':
    'heavy cream, cream heavy, cream, double cream, whipping cream, heavy whipping cream, thickened cream, pouring cream, cooking cream, clotted cream',
  'cream-sour': 'sour cream, soured cream, creme fraiche, mexican crema, crema',
  yogurt:
    'yogurt, yoghurt, greek yogurt, greek yoghurt, plain yogurt, natural yogurt, curd, natural yoghurt, plain yoghurt, whole milk yogurt, hung curd, dahi',
  butter: 'butter, unsalted butter, salted butter, sweet butter',
  ghee: 'ghee, clarified butter, desi ghee',
  'cheese-hard':
    'hard cheese, cheese hard, parmesan, parmesan cheese, parmigiano, parmigiano reggiano, pecorino, pecorino romano, cheddar, cheddar cheese, grana padano, gruyere, gouda, romano cheese, asiago, manchego, emmental, swiss cheese, cheese, shredded cheese, grated cheese, monterey jack, jack cheese, mexican cheese blend, sharp cheddar, sharp cheddar cheese, colby jack, pepper jack, red leicester, parm, parm cheese',
  'cheese-rind':
    'cheese rind, rind cheese, parmesan rind, parmesan cheese rind, rind of parmesan, parm rind, parmigiano rind, pecorino rind',
  pandan: 'pandan, pandan leaf, pandanus leaf, screwpine leaf',
  'cheese-soft':
    'soft cheese, cheese soft, mozzarella, mozzarella cheese, ricotta, ricotta cheese, feta, feta cheese, goat cheese, cottage cheese, brie, taleggio, fontina, queso fresco, cotija, goats cheese, blue cheese, gorgonzola, burrata',
  'cream-cheese': 'cream cheese, mascarpone, full fat soft cheese, cheese spread, neufchatel',
  onion:
    'onion, yellow onion, white onion, red onion, brown onion, sweet onion, spanish onion, cooking onion, pearl onion, baby onion, vidalia onion, pyaz, pyaaz',
  shallot: 'shallot, banana shallot, echalion shallot',
  'spring-onion': 'spring onion, green onion, scallion, salad onion, chive',
  leek: 'leek, baby leek',
  garlic:
    'garlic, garlic clove, clove of garlic, garlic paste, clove garlic, crushed garlic, minced garlic, garlic head, lehsun, lahsun, lasun',
  ginger:
    'ginger, fresh ginger, ginger root, root ginger, ginger paste, galangal, ginger garlic paste, garlic ginger paste, adrak, adrak lehsun paste, adrak lahsun paste, ginger garlic, gg paste',
  celery: 'celery, celery stalk, celery stick, celery rib, stalk celery, rib celery, celery heart',
  celeriac: 'celeriac, celery root',
  carrot: 'carrot, baby carrot, chantenay carrot, gajar',
  parsnip: 'parsnip',
  turnip: 'turnip',
  cabbage:
    'cabbage, white cabbage, green cabbage, savoy cabbage, red cabbage, napa cabbage, pointed cabbage, chinese cabbage',
  'bell-pepper':
    'bell pepper, red bell pepper, green bell pepper, yellow bell pepper, orange bell pepper, red pepper, green pepper, yellow pepper, sweet pepper, capsicum, red capsicum, green capsicum, orange pepper, poblano pepper, poblano, romano pepper, pepper strip, mixed pepper, pepper bell',
  chili:
    'chili, chilli, chile, chili pepper, chilli pepper, red chili, green chili, red chilli, green chilli, jalapeno, jalapeno pepper, serrano, serrano pepper, habanero, scotch bonnet, birds eye chili, thai chili, fresno chili, cayenne chili, hot pepper, padron pepper, hari mirch, green mirch, aji dulce',
  tomato:
    'tomato, cherry tomato, plum tomato, roma tomato, fresh tomato, vine tomato, grape tomato, beef tomato, ripe tomato, beefsteak tomato, tamatar',
  'tomato-sun-dried': 'sun dried tomato, sundried tomato, semi dried tomato, sun blush tomato',
  mushroom:
    'mushroom, cremini, cremini mushroom, button mushroom, chestnut mushroom, portobello, shiitake, ~oyster mushroom, white mushroom, shiitake mushroom, porcini, wild mushroom, portobello mushroom, baby bella mushroom',
  spinach: 'spinach, baby spinach, spinach leaf, fresh spinach, frozen spinach, leafy green, palak',
  kale: 'kale, lacinato kale, curly kale, cavolo nero, tuscan kale',
  'peas-frozen': 'frozen pea, pea, pea frozen, green pea, garden pea, petit pois, sweet pea, matar, mutter',
  corn: 'corn, sweetcorn, sweet corn, corn kernel, frozen corn, canned corn, sweetcorn kernel, corn on the cob, corn cob, hominy',
  broccoli: 'broccoli, broccoli floret, head broccoli',
  cauliflower:
    'cauliflower, cauliflower floret, cauliflower rice, riced cauliflower, romanesco, gobi, gobhi, phool gobi',
  zucchini: 'zucchini, courgette, summer squash, yellow squash, marrow',
  okra: 'okra, ladyfinger, bhindi, lady finger',
  eggplant: 'eggplant, aubergine, brinjal, baby aubergine, baingan',
  potato:
    'potato, baby potato, new potato, russet potato, yukon gold potato, waxy potato, floury potato, red potato, gold potato, russet, fingerling potato, white potato, maris piper potato, aloo',
  'sweet-potato': 'sweet potato, kumara',
  plantain: 'plantain, green plantain',
  squash:
    'squash, butternut squash, butternut, pumpkin, kabocha, acorn squash, winter squash, kabocha squash, butternut pumpkin',
  'pumpkin-puree': 'pumpkin puree, canned pumpkin, squash puree',
  'green-beans':
    'green bean, french bean, string bean, runner bean, fine green bean, haricot vert, green bean frozen, wax bean',
  asparagus: 'asparagus, asparagus spear, asparagus tip',
  'mixed-frozen':
    'mixed frozen vegetable, mixed vegetable, frozen mixed vegetable, frozen vegetable, pea and carrot, frozen pea and carrot, mixed frozen, vegetable mix, soup vegetable, stir fry vegetable, mixed veg, frozen veg',
  fennel: 'fennel, fennel bulb, bulb fennel',
  beetroot: 'beetroot, beet, red beet, golden beet',
  artichoke: 'artichoke heart, artichoke, canned artichoke, artichoke canned',
  olives: 'olive, black olive, green olive, kalamata olive, kalamata, pitted olive',
  capers: 'caper, nonpareil caper',
  apple: 'apple, cooking apple',
  'oil-olive': 'olive oil, extra virgin olive oil, oil olive, virgin olive oil, light olive oil',
  'oil-neutral':
    'neutral oil, oil, vegetable oil, sunflower oil, canola oil, rapeseed oil, groundnut oil, peanut oil, avocado oil, corn oil, grapeseed oil, coconut oil, cooking oil, oil neutral, mustard oil, sarson oil, tel, ~cooking spray, ~oil spray',
  salt: 'salt, table salt, cooking salt, fine salt, namak',
  'salt-sea': 'sea salt, fine sea salt, salt sea, himalayan salt, pink salt, rock salt',
  'salt-flaky':
    'flaky salt, kosher salt, coarse salt, coarse sea salt, flaky sea salt, salt flake, sea salt flake, salt flaky, flake salt',
  sugar:
    'sugar, brown sugar, white sugar, caster sugar, granulated sugar, palm sugar, jaggery, demerara sugar, light brown sugar, dark brown sugar, muscovado sugar, coconut sugar',
  honey: 'honey, maple syrup, golden syrup, agave syrup, agave, date syrup, corn syrup, syrup',
  'spice-ground':
    'ground spice, spice ground, cumin, ground cumin, cumin powder, coriander powder, ground coriander, paprika, smoked paprika, sweet paprika, hot paprika, turmeric, turmeric powder, ground turmeric, chili powder, chilli powder, cayenne, cayenne pepper, curry powder, garam masala, cinnamon, ground cinnamon, nutmeg, ground nutmeg, allspice, ground ginger, ginger powder, garlic powder, onion powder, black pepper, ground black pepper, pepper, ground pepper, white pepper, chili flake, chilli flake, red pepper flake, red chili flake, crushed red pepper, cajun seasoning, cajun, cajun spice, creole seasoning, taco seasoning, five spice, chinese five spice, biryani masala, masala, kashmiri chili powder, red chili powder, red chilli powder, kashmiri chilli powder, kashmiri red chili powder, kashmiri red chilli powder, cardamom powder, ground cardamom, ground clove, sumac, zaatar, ras el hanout, baharat, berbere, poultry seasoning, spice mix, seasoning, fenugreek powder, mustard powder, amchur, ~asafoetida, hing, lemon pepper, pepper flake, mixed spice, fajita seasoning, italian seasoning blend, sazon, adobo seasoning, ~mace, pumpkin pie spice, jerk seasoning, spice blend, chaat masala, tandoori masala, chicken masala, meat masala, chipotle powder, ancho chile powder, red pepper powder, aleppo pepper, haldi, haldi powder, jeera powder, dhania powder, lal mirch, lal mirch powder, mirchi powder, mirch powder, deggi mirch, kashmiri mirch, elaichi powder, sambar powder, pav bhaji masala, pulao masala, file powder, gumbo file, gochugaru, korean chili flake, pul biber, chilli flakes red, rasam powder, sazon seasoning, advieh, hawaij',
  'spice-whole':
    'whole spice, spice whole, cinnamon stick, stick cinnamon, star anise, cardamom pod, cardamom, green cardamom, black cardamom, clove, whole clove, cumin seed, mustard seed, coriander seed, fennel seed, peppercorn, black peppercorn, bay leaf, bay, dried bay leaf, caraway seed, nigella seed, vanilla pod, vanilla bean, fenugreek seed, juniper berry, curry leaf, mace blade, shah jeera, caraway, annatto seed, dried lime, kaffir lime leaf, lime leaf, cassia bark, szechuan peppercorn, green cardamom pod, panch phoron, five seed spice, whole garam masala, jeera, jeera seed, elaichi, badi elaichi, dalchini, laung, lavang, tej patta, tejpatta, rai, sarson, saunf, methi seed, methi dana, khada masala, sabut garam masala, dhania seed, black lime, loomi, kali mirch, kombu',
  'citrus-zest':
    'lemon zest, zest of lemon, lime zest, orange zest, lemon peel, lime peel, orange peel, lime rind, orange rind, grated lemon zest, zest, lemon rind, zest of orange, zest of lime',
  'herb-fresh':
    'fresh herb, herb fresh, herb, parsley, coriander, cilantro, basil, mint, dill, thyme, rosemary, sage, tarragon, coriander leaf, cilantro leaf, mint leaf, parsley leaf, basil leaf, flat leaf parsley, thyme sprig, rosemary sprig, fresh parsley, fresh thyme, fresh coriander, fresh cilantro, fresh basil, fresh mint, fresh dill, thai basil, fresh oregano, oregano leaf, sage leaf, ~lovage, marjoram, culantro, italian parsley, curly parsley, sorrel, fresh rosemary, fresh sage, fresh tarragon, bouquet garni, epazote, thyme leaf, celery leaf, lemon thyme, fenugreek leaf, pudina, dhania, dhania leaf, dhania patta, hara dhania, methi leaf, pudina leaf, recao, kadi patta',
  'herb-dried':
    'dried herb, herb dried, dried thyme, dried oregano, oregano, dried basil, dried parsley, dried rosemary, dried dill, dried mint, italian seasoning, italian herb, herbes de provence, mixed herb, dried mixed herb, kasuri methi, dried fenugreek leaf, dried sage, dried marjoram, dried tarragon, ground thyme, rubbed sage, mexican oregano, dried mixed italian herb, ground sage',
  mustard: 'mustard, dijon mustard, wholegrain mustard, whole grain mustard, yellow mustard, english mustard, dijon',
  pesto: 'pesto, basil pesto, pesto sauce, herb paste, green pesto, chimichurri',
  'curry-paste':
    'curry paste, red curry paste, green curry paste, thai curry paste, chipotle paste, achiote paste, ~tikka paste, ~tikka masala paste, ~tandoori paste, ~vindaloo paste, ~jalfrezi paste, ~rogan josh paste, massaman curry paste, laksa paste, panang curry paste, ~rendang paste, ~madras paste, ~korma paste, ~balti paste',
  'peanut-butter': 'peanut butter, almond butter, tahini, tahini paste, sesame paste, nut butter, cashew butter',
  breadcrumbs: 'breadcrumb, bread crumb, panko, panko breadcrumb, fresh breadcrumb',
  nuts: 'nut, almond, cashew, walnut, pine nut, peanut, pistachio, flaked almond, slivered almond, cashew nut, hazelnut, pecan, toasted almond, pumpkin seed, sunflower seed, almond flake, sliced almond, brazil nut, cashew paste, kaju, badam, pista',
  'dried-fruit':
    'dried fruit, raisin, sultana, currant, apricot, dried apricot, prune, date, dried cranberry, golden raisin, dried cherry, barberry, medjool date, dried fig, dried mango, kishmish',
  'beans-canned':
    'canned bean, bean canned, canned chickpea, chickpea canned, tinned chickpea, canned black bean, canned kidney bean, canned white bean, cannellini bean canned, cooked chickpea, cooked bean, tinned bean, cooked lentil, canned lentil, tinned lentil, cooked green lentil, ready cooked lentil, cooked puy lentil, white bean canned, kidney bean canned, black bean canned, canned cannellini bean, canned pinto bean, canned butter bean, white bean',
  'lentils-split':
    'split lentil, red lentil, red split lentil, split red lentil, orange lentil, masoor dal, red dal, split mung bean, split mung, moong dal, mung dal, yellow moong dal, yellow mung dal',
  'lentils-whole':
    'lentil, whole lentil, green lentil, brown lentil, black lentil, puy lentil, french lentil, beluga lentil, dried lentil, dry lentil, dried green lentil, dried brown lentil',
  tofu: 'tofu, firm tofu, silken tofu',
  starch: 'starch, cornstarch, corn starch, cornflour, potato starch, tapioca starch, arrowroot, corn flour',
  flour: 'flour, plain flour, all purpose flour, wheat flour, rice flour, gram flour, besan',
  vanilla: 'vanilla extract, vanilla, vanilla essence, almond extract, ~food coloring, vanilla paste',
  'stock-concentrate':
    'stock concentrate, stock cube, bouillon cube, bouillon powder, stock powder, chicken stock cube, chicken bouillon, vegetable stock cube, beef stock cube, stock pot, chicken bouillon powder, chicken bouillon cube, beef bouillon, vegetable bouillon, vegetable stock powder, broth concentrate, chicken base, bouillon granule, chicken stock powder, stock paste, stock gel, chicken bouillon granule, beef bouillon cube, soup base',
  'broth-fish':
    'fish stock, fish broth, seafood stock, seafood broth, shellfish stock, ~dashi, ~lobster stock, ~clam juice',
  marsala: 'marsala, marsala wine, ~port, ~port wine, ~madeira, sweet marsala, ~ruby port, dry marsala',
  vermouth: 'vermouth, dry vermouth, white vermouth, dry white vermouth',
  sherry: 'sherry, dry sherry, fino sherry, cooking sherry, pale dry sherry, sherry wine',
  'rice-wine':
    'rice wine, shaoxing wine, shaoxing rice wine, chinese rice wine, sake, chinese cooking wine, shaohsing rice wine',
  mirin: 'mirin, sweet rice wine, hon mirin',
  cider: 'cider, dry cider, hard cider, apple cider',
  'apple-juice': 'apple juice, ~pear juice, juice of apple',
  'pineapple-juice': 'pineapple juice, ~mango juice, ~grapefruit juice, ~passion fruit juice',
  'oyster-sauce': 'oyster sauce, vegetarian oyster sauce',
  'hoisin-sauce': 'hoisin sauce, hoisin, ~plum sauce, ~char siu sauce',
  'brown-sauce': 'brown sauce, steak sauce',
  ketchup: 'ketchup, tomato ketchup, catsup',
  'barbecue-sauce': 'barbecue sauce, bbq sauce, barbeque sauce, smoky barbecue sauce',
  'enchilada-sauce':
    'enchilada sauce, red enchilada sauce, ~mole sauce, ~simmer sauce, ~tikka masala sauce, ~curry sauce',
  'teriyaki-sauce': 'teriyaki sauce, teriyaki, ~ponzu, ~sweet soy sauce, ~kecap manis, ~ponzu sauce',
  'liquid-smoke': 'liquid smoke, hickory liquid smoke',
  'rose-water': 'rose water, rosewater, orange blossom water, orange flower water, kewra water',
  'coconut-water': 'coconut water, young coconut water',
  'plant-milk':
    'plant milk, oat milk, almond milk, soy milk, soya milk, rice milk, cashew milk, unsweetened almond milk, plant based milk',
  'cream-single': 'single cream, light cream, half and half, coffee cream, ~soy cream, ~oat cream, table cream',
  buttermilk: 'buttermilk, ~kefir, ~sour milk, cultured buttermilk',
  paneer: 'paneer, ~halloumi, ~halloumi cheese, paneer cube, paneer cheese, indian cottage cheese',
  lard: 'lard, schmaltz, dripping, beef dripping, tallow, goose fat, duck fat, bacon fat, bacon grease, chicken fat, ~suet, ~shortening',
  'oil-sesame': 'sesame oil, toasted sesame oil, dark sesame oil, ~walnut oil, ~hazelnut oil',
  'oil-chili': 'chili oil, chilli oil, chile oil, ~garlic oil, ~chili crisp',
  swede: 'swede, rutabaga, yellow turnip',
  kohlrabi: 'kohlrabi, kohl rabi',
  radish: 'radish, red radish, breakfast radish',
  daikon: 'daikon, daikon radish, white radish, mooli',
  sauerkraut: 'sauerkraut, ~kimchi, choucroute, fermented cabbage',
  'bok-choy': 'bok choy, pak choi, pak choy, baby bok choy, ~choy sum, ~tatsoi, bok choi, baby pak choi',
  'brussels-sprouts': 'brussels sprout, sprout, brussel sprout, baby brussels sprout',
  chard: 'chard, swiss chard, rainbow chard, beet green, silverbeet, beet leaf',
  rocket: 'rocket, arugula, rocket leaf, baby arugula',
  watercress: 'watercress, ~water spinach, ~purslane, ~pea shoot, ~morning glory',
  collards:
    'collard, collard green, spring green, mustard green, ~turnip green, ~turnip top, ~broccoli rabe, ~rapini, ~callaloo',
  'sugar-snaps': 'snow pea, sugar snap, sugar snap pea, mangetout, mange tout, snap pea',
  edamame: 'edamame, shelled edamame, soya bean green, frozen edamame, edamame bean',
  'broad-beans':
    'broad bean, fava bean, frozen broad bean, podded broad bean, fresh broad bean, frozen fava bean, ~frozen lima bean',
  cassava: 'cassava, yuca, manioc, cassava root',
  yam: 'yam, white yam, true yam, african yam, elephant yam, name root',
  taro: 'taro, taro root, ~eddoe, ~malanga, ~cocoyam, arbi, ~dasheen',
  'lotus-root': 'lotus root, fresh lotus root, ~burdock, ~burdock root, ~salsify',
  'bamboo-shoots': 'bamboo shoot, sliced bamboo shoot, ~heart of palm, ~palm heart, canned bamboo shoot',
  'water-chestnuts': 'water chestnut, sliced water chestnut, canned water chestnut, ~jicama',
  'bean-sprouts': 'bean sprout, beansprout, mung bean sprout, sprouted bean',
  cucumber: 'cucumber, english cucumber, persian cucumber, lebanese cucumber',
  chayote: 'chayote, chayote squash, ~bottle gourd, ~lauki, christophene, ~opo squash, ~bitter gourd, ~bitter melon',
  avocado: 'avocado, ripe avocado, hass avocado',
  'chili-dried':
    'dried chili, dried chilli, dried red chili, dried red chilli, ancho chili, ancho, guajillo, guajillo chili, dried chile, dry red chili, dry red chilli, dry red chile, dry chili, dry chilli, arbol chili, pasilla chili, kashmiri chili, dried kashmiri chili, ancho chile, guajillo chile, whole dried red chili, dried ancho chili',
  'chipotle-adobo':
    'chipotle, chipotle in adobo, chipotle in adobo sauce, chipotle chile in adobo, chipotle pepper in adobo, chipotle pepper, chipotle chile, adobo sauce, chipotle chili',
  'onion-fried':
    'fried onion, crispy onion, crispy fried onion, birista, french fried onion, ~crispy shallot, ~fried shallot, fried onion topping',
  'mushroom-dried':
    'dried mushroom, dried porcini, dried porcini mushroom, dried shiitake, dried shiitake mushroom, dried morel, dried wild mushroom, dried cep',
  pear: 'pear, firm pear, conference pear, asian pear',
  quince: 'quince, ripe quince',
  mango:
    'mango, ripe mango, green mango, ~papaya, raw mango, mango chunk, ~nectarine, ~peach, ~apricot fresh, ~fresh apricot',
  pineapple: 'pineapple, pineapple chunk, fresh pineapple, pineapple ring, canned pineapple, pineapple tidbit',
  orange: 'orange, mandarin, clementine, blood orange, tangerine, ~grapefruit, orange segment, navel orange',
  banana: 'banana, ripe banana',
  grapes:
    'grape, red grape, green grape, seedless grape, ~blueberry, ~cherry, ~raspberry, ~strawberry, ~berry, ~blackberry, ~frozen berry, ~mixed berry',
  cranberries: 'cranberry, fresh cranberry, frozen cranberry, ~lingonberry, fresh or frozen cranberry',
  'pomegranate-seeds': 'pomegranate seed, pomegranate, pomegranate aril',
  applesauce: 'applesauce, apple sauce, apple puree, unsweetened applesauce',
  'celery-salt': 'celery salt',
  'seasoned-salt': 'seasoned salt, garlic salt, onion salt, seasoning salt, herb salt',
  molasses: 'molasses, treacle, black treacle, ~pomegranate molasses, ~date molasses, blackstrap molasses',
  jam: 'jam, apricot jam, marmalade, ~jelly, ~redcurrant jelly, fruit preserve, orange marmalade, preserve, fig jam',
  chutney: 'chutney, mango chutney, ~lime pickle, ~relish, tomato chutney, onion jam, major grey chutney',
  'cranberry-sauce': 'cranberry sauce, ~lingonberry sauce, whole berry cranberry sauce, cranberry jelly',
  saffron: 'saffron, saffron thread, saffron strand, saffron stem, saffron powder',
  'sesame-seeds':
    'sesame seed, toasted sesame seed, white sesame seed, black sesame seed, ~hemp seed, ~flaxseed, ~linseed, ~chia seed, sesame',
  'poppy-seeds': 'poppy seed, white poppy seed, khus khus',
  lemongrass: 'lemongrass, lemon grass, lemongrass stalk, stalk lemongrass, stalk of lemongrass, lemon grass stalk',
  miso: 'miso, miso paste, white miso, red miso, white miso paste, yellow miso, red miso paste, shiro miso',
  gochujang: 'gochujang, korean chili paste, gochujang paste, korean red pepper paste, ~ssamjang',
  sambal:
    'sambal, sambal oelek, chili garlic sauce, chilli garlic sauce, chili paste, chilli paste, aji amarillo paste, aji amarillo, calabrian chili paste, ~sweet chili sauce, ~sweet chilli sauce',
  doubanjiang:
    'doubanjiang, chili bean paste, broad bean paste, chilli bean paste, toban djan, fermented bean paste, chili bean sauce',
  'black-bean-sauce':
    'black bean sauce, fermented black bean, ~yellow bean sauce, ~soybean paste, ~doenjang, ~fermented soybean, black bean garlic sauce',
  'tamarind-paste': 'tamarind, tamarind paste, tamarind concentrate, tamarind pulp, tamarind puree, tamarind water',
  harissa:
    'harissa, harissa paste, rose harissa, ~ajvar, ~zhoug, red pepper paste, turkish red pepper paste, ~chermoula, biber salcasi',
  horseradish:
    'horseradish, prepared horseradish, horseradish sauce, grated horseradish, creamed horseradish, ~wasabi, ~wasabi paste',
  cocoa:
    'cocoa, cocoa powder, unsweetened cocoa powder, cacao powder, ~espresso powder, ~coffee powder, ~instant coffee',
  chocolate: 'chocolate, dark chocolate, chocolate chip, milk chocolate, bittersweet chocolate, mexican chocolate',
  'soup-mix':
    'soup mix, onion soup mix, dry onion soup mix, ~ranch seasoning mix, ~ranch seasoning, ~ranch dressing mix, gravy mix, gravy granule, au jus mix, gravy powder, dry soup mix, ~taco seasoning mix, ~chili seasoning mix',
  'yeast-extract':
    'yeast extract, ~beef extract, ~meat extract, ~nutritional yeast, ~nutritional yeast flake, ~mushroom powder',
  gelatine: 'gelatin, gelatine, gelatine leaf, ~agar, ~pectin, ~xanthan gum, powdered gelatin',
  'masa-harina': 'masa harina, masa, masa flour, corn masa flour',
  cornmeal:
    'cornmeal, polenta, corn grit, grit, coarse cornmeal, fine cornmeal, quick cook polenta, yellow cornmeal, hominy grit, stone ground grit',
  semolina: 'semolina, semolina flour, ~cream of wheat, farina, fine semolina, sooji, rava',
  'coconut-dried':
    'desiccated coconut, shredded coconut, coconut flake, dried coconut, grated coconut, coconut chip, coconut shred, unsweetened coconut, flaked coconut, unsweetened shredded coconut, ~fresh coconut',
  chestnuts: 'chestnut, cooked chestnut, vacuum packed chestnut, roasted chestnut, peeled chestnut',
  croutons: 'crouton, stale bread, bread cube',
  crackers: 'cracker, crushed cracker, saltine, oyster cracker, ~potato chip, cream cracker',
  'tortilla-chips': 'tortilla chip, nacho, tortilla strip, corn chip, crushed tortilla chip',
  'refried-beans': 'refried bean, refried black bean, ~bean dip, ~hummus',
  'baked-beans': 'baked bean, chili bean in sauce, canned baked bean',
  tempeh: 'tempeh, soy tempeh',
  seitan:
    'seitan, plant based mince, vegan sausage, vegetarian sausage, vegan mince, meat substitute, veggie mince, vegetarian mince, plant based sausage, ~vegan chicken piece',
  'soy-mince':
    'textured vegetable protein, soya mince, soy mince, soy curl, tvp, dried soya mince, textured soy protein, soya chunk, soy chunk',
  gnocchi: 'gnocchi, potato gnocchi, fresh gnocchi, shelf stable gnocchi',
  'tuna-canned':
    'tinned fish, canned tuna, tinned tuna, tuna canned, tuna in oil, tuna in brine, ~canned salmon, ~tinned salmon, ~tinned sardine, ~sardine, tuna in olive oil, ~canned sardine, ~smoked mackerel, tuna in water, tuna in spring water, tuna',
  anchovy: 'anchovy, anchovy fillet, anchovy paste, ~shrimp paste, ~bagoong, ~belacan, ~dried shrimp',
  gherkin:
    'gherkin, pickle, pickled gherkin, cornichon, dill pickle, pickled cucumber, pickled jalapeno, ~pickled onion, ~preserved lemon, ~pepperoncini, ~banana pepper, ~pickled ginger, jarred jalapeno',
  'roasted-pepper':
    'roasted red pepper, roasted pepper, jarred red pepper, piquillo pepper, roasted bell pepper, jarred roasted red pepper, pimiento, pimento, roasted red bell pepper, jarred roasted pepper, grilled pepper, peppadew',
};
