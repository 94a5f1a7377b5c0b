/**
 * What English-speaking cooks call each food, in the singular, longest and plainest alike [common practice]. A name is a
 * whole noun phrase whose last word is its head: "chicken stock" is a stock. American and British words stand side by side.
 */
export const namesEn: Readonly<Record<string, string>> = {
  'rice-long':
    'long grain rice, long grain white rice, long grain, long rice, white long grain rice, american long grain rice, white rice, rice',
  'rice-basmati': 'basmati rice, basmati, white basmati rice, white basmati, biryani rice, sella basmati rice',
  'rice-jasmine': 'jasmine rice, jasmine, thai rice, fragrant rice, thai fragrant rice, thai jasmine rice',
  'rice-medium': 'medium grain rice, medium grain, medium rice, medium grain white rice, paella rice, bomba rice',
  'rice-short': 'short grain rice, short grain, short rice, sushi rice, pudding rice, japanese rice, round grain rice',
  'rice-arborio': 'arborio rice, arborio, risotto rice, carnaroli rice, carnaroli, vialone nano rice, vialone nano',
  'rice-parboiled': 'parboiled rice, converted rice, easy cook rice, parboiled long grain rice, sella rice',
  'rice-brown-long': 'brown long grain rice, long grain brown rice, brown rice, wholegrain rice, whole grain rice',
  'rice-brown-basmati': 'brown basmati rice, brown basmati, wholegrain basmati rice',
  'rice-red': 'red rice, camargue rice, red cargo rice, ~black rice, ~forbidden rice',
  'rice-wild': 'wild rice',
  quinoa: 'quinoa, white quinoa, red quinoa, tricolor quinoa',
  bulgur: 'bulgur, bulgur wheat, bulgar wheat, bulghur, cracked wheat, coarse bulgur, pilaf bulgur',
  'barley-pearl': 'pearl barley, barley, pearled barley, barley pearl, ~pot barley',
  farro: 'farro, pearled farro, ~spelt, pearled spelt, ~emmer, ~spelt berry',
  einkorn: 'einkorn, einkorn berry, einkorn wheat, ~wheat berry',
  freekeh: 'freekeh, frikeh, cracked freekeh, green wheat',
  millet: 'millet, hulled millet, millet grain',
  'couscous-pearl': 'pearl couscous, israeli couscous, giant couscous, couscous pearl, ptitim, moghrabieh, fregola',
  'oats-rolled': 'rolled oat, oat, porridge oat, old fashioned oat, oatmeal, oat rolled, jumbo oat',
  'oats-steel-cut': 'steel cut oat, pinhead oat, irish oat, oat steel cut, coarse oatmeal, oat groat',
  penne: 'penne, penne pasta, penne rigate, mostaccioli, pasta, short pasta, pasta tube',
  rigatoni: 'rigatoni, rigatoni pasta, tortiglioni, paccheri',
  ziti: 'ziti, ziti pasta',
  rotini: 'rotini, fusilli, rotini pasta, fusilli pasta, pasta spiral, gemelli, cavatappi',
  farfalle: 'farfalle, bow tie pasta, bowtie pasta, bow tie, pasta bow, farfalle pasta',
  ditalini: 'ditalini, ditalini pasta, small pasta, soup pasta, tubetti',
  elbows: 'elbow, elbow macaroni, macaroni, elbow pasta, macaroni pasta, mac',
  shells: 'shell, pasta shell, medium shell, conchiglie, shell pasta, ~orecchiette',
  orzo: 'orzo, orzo pasta, risoni, kritharaki',
  spaghetti: 'spaghetti, spaghettini, spaghetti pasta, ~linguine, ~bucatini, ~angel hair pasta, ~angel hair',
  fettuccine: 'fettuccine, fettuccini, tagliatelle, pappardelle, fettuccine pasta',
  'lasagne-sheet':
    'lasagne sheet, lasagna sheet, lasagna noodle, lasagne, lasagna, pasta sheet, oven ready lasagna noodle',
  'noodles-short': 'short noodle, egg noodle, noodle, noodle short, wide egg noodle, vermicelli, soup noodle, fideo',
  'chicken-breast':
    'chicken breast, chicken breast fillet, chicken breast half, chicken tender, chicken tenderloin, breast of chicken, breast, chicken fillet, chicken breast meat, chicken breast cutlet, chicken mini fillet, chicken cutlet',
  'chicken-thigh':
    'chicken thigh, thigh, chicken thigh fillet, chicken thigh meat, chicken piece, chicken leg meat, dark chicken meat, chicken, chicken meat, chicken part',
  'chicken-drumstick':
    'chicken drumstick, chicken leg, drumstick, chicken leg quarter, chicken leg piece, chicken drumette',
  'chicken-wing': 'chicken wing, wing',
  'chicken-ground': 'ground chicken, chicken mince, minced chicken, chicken ground, chicken keema',
  'chicken-cooked':
    'cooked chicken, chicken cooked, leftover chicken, rotisserie chicken, shredded chicken, roast chicken, poached chicken, pulled chicken, leftover roast chicken, cooked chicken meat, cooked chicken breast, ~leftover turkey, ~cooked turkey, cooked shredded chicken, shredded cooked chicken',
  'turkey-breast':
    'turkey breast, turkey fillet, turkey escalope, turkey tenderloin, turkey breast fillet, turkey steak',
  'turkey-thigh': 'turkey thigh, turkey leg, turkey, turkey thigh meat, turkey drumstick',
  'turkey-ground': 'ground turkey, turkey mince, minced turkey, turkey ground',
  'duck-leg': 'duck leg, duck, duck thigh, duck leg quarter',
  'guinea-fowl': 'guinea fowl, guinea hen',
  rabbit: 'rabbit, rabbit leg, rabbit piece, rabbit meat',
  'beef-ground':
    'ground beef, beef mince, minced beef, beef ground, mince, ground meat, ground chuck, lean ground beef, ground round, ground sirloin, keema, mincemeat, minced meat',
  'beef-stew':
    'stewing beef, beef stew, beef stew meat, stew meat, stewing steak, braising steak, beef chuck, chuck, beef shin, chuck roast, beef, diced beef, beef brisket, brisket, ~beef short rib, ~short rib, casserole steak, shin of beef, beef cube, beef shank, beef cheek',
  'pork-ground': 'ground pork, pork mince, minced pork, pork ground',
  'pork-shoulder':
    'pork shoulder, pork butt, boston butt, pork, diced pork, pork stew meat, pork collar, ~pork belly, ~belly pork, pork neck, ~pork rib, ~spare rib, carnitas meat',
  'pork-loin':
    'pork loin, pork chop, pork tenderloin, pork fillet, pork steak, pork cutlet, loin of pork, pork loin chop',
  'lamb-leg':
    'lamb leg, leg of lamb, lamb, lamb shoulder, shoulder of lamb, diced lamb, lamb stew meat, lamb neck, ~mutton, lamb meat, ~lamb shank, lamb cube, ~lamb chop, stewing lamb',
  'lamb-ground': 'ground lamb, lamb mince, minced lamb, lamb ground, lamb keema',
  'goat-leg': 'goat leg, goat, goat meat, kid meat, goat curry cut, goat shoulder',
  'veal-ground': 'ground veal, veal mince, minced veal, veal ground',
  venison: 'venison, deer meat, venison shoulder, diced venison, venison haunch',
  'sausage-smoked':
    'smoked sausage, sausage smoked, andouille sausage, andouille, kielbasa, chorizo, spanish chorizo, cured chorizo, dry chorizo, frankfurter, smoked kielbasa, cooked sausage, hot dog, smoked chorizo sausage, chorizo sausage, linguica',
  'sausage-fresh':
    'fresh sausage, sausage fresh, italian sausage, pork sausage, raw sausage, sausage, sausage meat, breakfast sausage, bratwurst, mexican chorizo, fresh chorizo, merguez, hot italian sausage, sweet italian sausage, bulk sausage, chipolata, banger',
  ham: 'ham, cooked ham, ham steak, smoked ham, diced ham, ~gammon, ham hock meat',
  bacon:
    'bacon, smoked bacon, streaky bacon, back bacon, pancetta, lardon, bacon lardon, guanciale, bacon rasher, ~turkey bacon, bacon bit',
  shrimp: 'shrimp, prawn, king prawn, tiger prawn, jumbo shrimp, raw prawn, large shrimp, scampi',
  'white-fish':
    'white fish, fish, cod, haddock, hake, pollock, tilapia, ~halibut, fish fillet, white fish fillet, cod fillet, haddock fillet, sea bass, ~monkfish, ~fish steak, snapper',
  salmon: 'salmon, salmon fillet, ~trout, salmon steak, ~trout fillet',
  egg: 'egg, hen egg, whole egg, chicken egg',
  water: 'water, boiling water, hot water, cold water, tap water, pasta water',
  broth:
    'broth, stock, chicken stock, chicken broth, vegetable stock, vegetable broth, beef stock, beef broth, veggie broth, veggie stock, bone broth, turkey stock, turkey broth, meat stock, ~fish stock, lamb stock, ~seafood stock, mushroom stock, veg stock, broth or stock, mushroom broth, game stock, bouillon, liquid stock',
  'broth-low-salt':
    'low salt broth, low salt stock, low sodium broth, low sodium stock, unsalted broth, unsalted stock, homemade stock, homemade broth, broth low salt, homemade chicken stock, no salt added broth',
  'wine-red': 'red wine, wine red, dry red wine, burgundy, ~marsala',
  'wine-white':
    'white wine, dry white wine, wine white, wine, ~vermouth, ~dry vermouth, ~sherry, ~dry sherry, ~rice wine, ~shaoxing wine, cooking wine, prosecco, ~mirin',
  beer: 'beer, lager, ale, stout, dark beer',
  'soy-sauce': 'soy sauce, soy, tamari, light soy sauce, dark soy sauce, shoyu, light soy, dark soy',
  'fish-sauce': 'fish sauce, nam pla, nuoc mam',
  'worcestershire-sauce':
    'worcestershire sauce, worcestershire, worcester sauce, ~oyster sauce, ~hoisin sauce, ~steak sauce, ~brown sauce',
  'hot-sauce': 'hot sauce, chili sauce, chilli sauce, pepper sauce, hot pepper sauce, sriracha, piri piri sauce',
  vinegar:
    'vinegar, white vinegar, wine vinegar, red wine vinegar, white wine vinegar, cider vinegar, apple cider vinegar, rice vinegar, balsamic vinegar, balsamic, sherry vinegar, malt vinegar',
  'lemon-juice':
    'lemon juice, juice of lemon, lime juice, juice of lime, lemon, lime, juice lemon, juice lime, fresh lemon juice',
  'orange-juice': 'orange juice, juice of orange, ~apple juice, ~pineapple juice, ~orange, ~cider, ~apple cider',
  'coconut-milk': 'coconut milk, light coconut milk, lite coconut milk, coconut cream, cream of coconut',
  'tomato-diced-canned':
    'diced tomato canned, canned diced tomato, diced tomato, canned tomato, tinned tomato, chopped tomato canned, canned chopped tomato, tinned chopped tomato, tomato diced canned, canned tomatoes with juice, peeled plum tomato, plum tomato canned, canned plum tomato, tinned plum tomato, fire roasted tomato, stewed tomato, canned whole tomato, petite diced tomato',
  'tomato-crushed-canned':
    'crushed tomato, canned crushed tomato, tomato crushed canned, tomato puree, passata, sieved tomato, strained tomato, pureed tomato, pulped tomato, crushed tomato canned',
  'tomato-sauce':
    'tomato sauce, marinara, marinara sauce, pasta sauce, spaghetti sauce, pizza sauce, ~ketchup, ~tomato ketchup, jarred tomato sauce, ~enchilada sauce',
  'tomato-paste':
    'tomato paste, tomato concentrate, tomato puree concentrate, double concentrated tomato paste, concentrated tomato paste',
  salsa: 'salsa, tomato salsa, salsa roja, red salsa, pico de gallo, salsa verde, green salsa',
  milk: 'milk, whole milk, semi skimmed milk, skimmed milk, skim milk, full fat milk, cow milk, ~oat milk, ~almond milk, ~soy milk, ~plant milk',
  'milk-evaporated': 'evaporated milk, unsweetened condensed milk',
  'milk-condensed': 'condensed milk, sweetened condensed milk',
  'cream-heavy':
    'heavy cream, cream heavy, cream, double cream, whipping cream, heavy whipping cream, ~single cream, ~light cream, ~half and half, thickened cream, pouring cream, cooking cream, clotted cream',
  'cream-sour': 'sour cream, soured cream, creme fraiche, mexican crema, crema',
  yogurt:
    'yogurt, yoghurt, greek yogurt, greek yoghurt, plain yogurt, natural yogurt, curd, natural yoghurt, plain yoghurt, whole milk yogurt, hung curd, ~buttermilk, ~kefir',
  butter: 'butter, unsalted butter, salted butter, sweet butter',
  ghee: 'ghee, clarified butter, desi ghee',
  'cheese-hard':
    'hard cheese, cheese hard, parmesan, parmesan cheese, parmigiano, parmigiano reggiano, pecorino, pecorino romano, cheddar, cheddar cheese, grana padano, gruyere, gouda, romano cheese, asiago, manchego, emmental, swiss cheese, cheese, shredded cheese, grated cheese, monterey jack, jack cheese, mexican cheese blend, sharp cheddar, sharp cheddar cheese, parmesan rind, colby jack, red leicester',
  'cheese-soft':
    'soft cheese, cheese soft, mozzarella, mozzarella cheese, ricotta, ricotta cheese, feta, feta cheese, goat cheese, cottage cheese, brie, taleggio, fontina, paneer, queso fresco, cotija, goats cheese, blue cheese, gorgonzola, halloumi, burrata',
  'cream-cheese': 'cream cheese, mascarpone, full fat soft cheese, cheese spread',
  onion:
    'onion, yellow onion, white onion, red onion, brown onion, sweet onion, spanish onion, cooking onion, pearl onion, baby onion, vidalia onion, ~fried onion',
  shallot: 'shallot, banana shallot, echalion shallot',
  'spring-onion': 'spring onion, green onion, scallion, salad onion, chive',
  leek: 'leek, baby leek',
  garlic:
    'garlic, garlic clove, clove of garlic, garlic paste, clove garlic, crushed garlic, minced garlic, garlic head',
  ginger:
    'ginger, fresh ginger, ginger root, root ginger, ginger paste, galangal, ginger garlic paste, garlic ginger paste',
  celery: 'celery, celery stalk, celery stick, celery rib, stalk celery, rib celery, celery heart',
  celeriac: 'celeriac, celery root, ~rutabaga, ~swede',
  carrot: 'carrot, baby carrot, chantenay carrot',
  parsnip: 'parsnip',
  turnip: 'turnip, ~kohlrabi, ~daikon, ~radish, white radish, mooli',
  cabbage:
    'cabbage, white cabbage, green cabbage, savoy cabbage, red cabbage, napa cabbage, pointed cabbage, brussels sprout, sprout, chinese cabbage, ~sauerkraut, ~bok choy, ~pak choi',
  'bell-pepper':
    'bell pepper, red bell pepper, green bell pepper, yellow bell pepper, orange bell pepper, red pepper, green pepper, yellow pepper, sweet pepper, capsicum, red capsicum, green capsicum, orange pepper, poblano pepper, poblano, romano pepper, roasted red pepper, roasted pepper, pepper strip, jarred red pepper, mixed pepper, pepper bell, piquillo pepper',
  chili:
    'chili, chilli, chile, chili pepper, chilli pepper, red chili, green chili, red chilli, green chilli, jalapeno, jalapeno pepper, serrano, serrano pepper, habanero, scotch bonnet, birds eye chili, thai chili, fresno chili, cayenne chili, ~chipotle, ~chipotle in adobo, ~dried chili, hot pepper, padron pepper, chipotle chile',
  tomato:
    'tomato, cherry tomato, plum tomato, roma tomato, fresh tomato, vine tomato, grape tomato, beef tomato, ripe tomato, beefsteak tomato',
  'tomato-sun-dried': 'sun dried tomato, sundried tomato, semi dried tomato, sun blush tomato',
  mushroom:
    'mushroom, cremini, cremini mushroom, button mushroom, chestnut mushroom, portobello, shiitake, ~oyster mushroom, white mushroom, shiitake mushroom, porcini, wild mushroom, portobello mushroom, baby bella mushroom',
  spinach:
    'spinach, baby spinach, spinach leaf, fresh spinach, frozen spinach, ~swiss chard, ~chard, ~rocket, ~arugula, ~watercress, ~beet green, leafy green',
  kale: 'kale, lacinato kale, curly kale, cavolo nero, tuscan kale, ~collard, ~collard green, ~spring green, ~mustard green',
  'peas-frozen':
    'frozen pea, pea, pea frozen, green pea, garden pea, petit pois, sweet pea, ~snow pea, ~sugar snap, ~sugar snap pea, ~edamame',
  corn: 'corn, sweetcorn, sweet corn, corn kernel, frozen corn, canned corn, sweetcorn kernel, corn on the cob, hominy',
  broccoli: 'broccoli, broccoli floret, head broccoli',
  cauliflower: 'cauliflower, cauliflower floret, romanesco',
  zucchini: 'zucchini, courgette, summer squash, yellow squash, marrow',
  okra: 'okra, ladyfinger, bhindi, lady finger',
  eggplant: 'eggplant, aubergine, brinjal, baby aubergine',
  potato:
    'potato, baby potato, new potato, russet potato, yukon gold potato, waxy potato, floury potato, red potato, gold potato, russet, fingerling potato, white potato, maris piper potato',
  'sweet-potato': 'sweet potato, yam, kumara',
  plantain: 'plantain, green plantain, ~cassava, ~yuca',
  squash:
    'squash, butternut squash, butternut, pumpkin, kabocha, acorn squash, winter squash, kabocha squash, butternut pumpkin',
  'pumpkin-puree': 'pumpkin puree, canned pumpkin, squash puree, ~applesauce, ~apple sauce',
  'green-beans':
    'green bean, french bean, string bean, runner bean, fine green bean, haricot vert, green bean frozen, wax bean',
  asparagus: 'asparagus, asparagus spear, asparagus tip',
  'mixed-frozen':
    'mixed frozen vegetable, mixed vegetable, frozen mixed vegetable, frozen vegetable, pea and carrot, frozen pea and carrot, mixed frozen, vegetable mix, soup vegetable, stir fry vegetable, mixed veg, frozen veg',
  fennel: 'fennel, fennel bulb, bulb fennel',
  beetroot: 'beetroot, beet, red beet, golden beet',
  artichoke: 'artichoke heart, artichoke, canned artichoke, artichoke canned',
  olives: 'olive, black olive, green olive, kalamata olive, kalamata, pitted olive',
  capers: 'caper, nonpareil caper, ~gherkin, ~pickle, ~pickled gherkin, ~cornichon, ~anchovy, ~anchovy fillet',
  apple: 'apple, ~pear, cooking apple, ~quince, ~mango, ~pineapple, ~pineapple chunk',
  'oil-olive': 'olive oil, extra virgin olive oil, oil olive, virgin olive oil, light olive oil',
  'oil-neutral':
    'neutral oil, oil, vegetable oil, sunflower oil, canola oil, rapeseed oil, groundnut oil, peanut oil, avocado oil, corn oil, grapeseed oil, sesame oil, coconut oil, cooking oil, oil neutral, mustard oil, ~lard, ~schmaltz, bacon fat, duck fat, ~dripping, bacon grease, ~toasted sesame oil, ~cooking spray, ~oil spray, ~chili oil',
  salt: 'salt, table salt, cooking salt, fine salt, ~celery salt, ~garlic salt, ~seasoning salt',
  'salt-sea': 'sea salt, fine sea salt, salt sea, himalayan salt, pink salt, rock salt',
  'salt-flaky':
    'flaky salt, kosher salt, coarse salt, coarse sea salt, flaky sea salt, salt flake, sea salt flake, salt flaky, flake salt',
  sugar:
    'sugar, brown sugar, white sugar, caster sugar, granulated sugar, palm sugar, jaggery, demerara sugar, light brown sugar, dark brown sugar, muscovado sugar, coconut sugar',
  honey:
    'honey, maple syrup, golden syrup, agave syrup, agave, ~molasses, ~treacle, date syrup, corn syrup, syrup, ~jam, ~chutney, ~mango chutney, ~cranberry sauce',
  'spice-ground':
    'ground spice, spice ground, cumin, ground cumin, cumin powder, coriander powder, ground coriander, paprika, smoked paprika, sweet paprika, hot paprika, turmeric, turmeric powder, ground turmeric, chili powder, chilli powder, cayenne, cayenne pepper, curry powder, garam masala, cinnamon, ground cinnamon, nutmeg, ground nutmeg, allspice, ground ginger, ginger powder, garlic powder, onion powder, black pepper, ground black pepper, pepper, ground pepper, white pepper, chili flake, chilli flake, red pepper flake, red chili flake, crushed red pepper, cajun seasoning, creole seasoning, taco seasoning, five spice, chinese five spice, biryani masala, masala, kashmiri chili powder, red chili powder, cardamom powder, ground cardamom, ground clove, sumac, zaatar, ras el hanout, baharat, berbere, ~saffron, poultry seasoning, spice mix, seasoning, fenugreek powder, mustard powder, amchur, ~asafoetida, hing, lemon pepper, pepper flake, mixed spice, fajita seasoning, italian seasoning blend, sazon, adobo seasoning, ~mace, pumpkin pie spice, jerk seasoning, spice blend, chaat masala, tandoori masala, chicken masala, meat masala, chipotle powder, ancho chile powder, red pepper powder, aleppo pepper',
  'spice-whole':
    'whole spice, spice whole, cinnamon stick, stick cinnamon, star anise, cardamom pod, cardamom, green cardamom, black cardamom, clove, whole clove, cumin seed, mustard seed, coriander seed, fennel seed, peppercorn, black peppercorn, bay leaf, bay, dried bay leaf, caraway seed, nigella seed, vanilla pod, vanilla bean, fenugreek seed, juniper berry, curry leaf, mace blade, shah jeera, caraway, ~sesame seed, ~poppy seed, annatto seed, dried lime, kaffir lime leaf, lime leaf, ~lemongrass, ~lemongrass stalk, ~stalk lemongrass, cassia bark, szechuan peppercorn, green cardamom pod',
  'citrus-zest':
    'lemon zest, zest of lemon, lime zest, orange zest, lemon peel, orange peel, grated lemon zest, zest, lemon rind, zest of orange, zest of lime',
  'herb-fresh':
    'fresh herb, herb fresh, herb, parsley, coriander, cilantro, basil, mint, dill, thyme, rosemary, sage, tarragon, coriander leaf, cilantro leaf, mint leaf, parsley leaf, basil leaf, flat leaf parsley, thyme sprig, rosemary sprig, fresh parsley, fresh thyme, fresh coriander, fresh cilantro, fresh basil, fresh mint, fresh dill, thai basil, fresh oregano, oregano leaf, sage leaf, ~lovage, marjoram, culantro, italian parsley, curly parsley, sorrel, fresh rosemary, fresh sage, fresh tarragon, bouquet garni, epazote, thyme leaf, celery leaf, fenugreek leaf',
  'herb-dried':
    'dried herb, herb dried, dried thyme, dried oregano, oregano, dried basil, dried parsley, dried rosemary, dried dill, dried mint, italian seasoning, italian herb, herbes de provence, mixed herb, dried mixed herb, kasuri methi, dried fenugreek leaf, dried sage, dried marjoram, dried tarragon, ground thyme, rubbed sage, mexican oregano, dried mixed italian herb, ground sage',
  mustard: 'mustard, dijon mustard, wholegrain mustard, whole grain mustard, yellow mustard, english mustard, dijon',
  pesto: 'pesto, basil pesto, pesto sauce, herb paste, green pesto, chimichurri',
  'curry-paste':
    'curry paste, red curry paste, green curry paste, thai curry paste, harissa, harissa paste, ~miso, ~miso paste, ~gochujang, chipotle paste, ~sambal oelek, ~sambal, ~tamarind paste, ~tamarind, achiote paste, ~doubanjiang, ~tikka paste, ~tandoori paste, ~rogan josh paste, chili paste, ~black bean sauce, ~tamarind concentrate',
  'peanut-butter': 'peanut butter, almond butter, tahini, tahini paste, sesame paste, nut butter, cashew butter',
  breadcrumbs:
    'breadcrumb, bread crumb, panko, panko breadcrumb, fresh breadcrumb, ~crouton, ~cracker, ~crushed cracker, ~tortilla chip, fried onion topping, crispy onion, crispy fried onion',
  nuts: 'nut, almond, cashew, walnut, pine nut, peanut, pistachio, flaked almond, slivered almond, cashew nut, hazelnut, pecan, toasted almond, ~coconut flake, ~desiccated coconut, pumpkin seed, sunflower seed, ~shredded coconut, almond flake, ~chestnut, sliced almond, brazil nut, cashew paste',
  'dried-fruit':
    'dried fruit, raisin, sultana, currant, apricot, dried apricot, prune, date, dried cranberry, golden raisin, dried cherry, barberry, medjool date, dried fig, dried mango',
  'beans-canned':
    'canned bean, bean canned, canned chickpea, chickpea canned, tinned chickpea, canned black bean, canned kidney bean, canned white bean, cannellini bean canned, cooked chickpea, cooked bean, canned lentil, cooked lentil, tinned bean, white bean canned, kidney bean canned, black bean canned, canned cannellini bean, canned pinto bean, canned butter bean, tinned lentil, white bean, ~refried bean, ~baked bean',
  tofu: 'tofu, firm tofu, ~tempeh, ~seitan, silken tofu, ~textured vegetable protein',
  starch: 'starch, cornstarch, corn starch, cornflour, potato starch, tapioca starch, arrowroot, corn flour',
  flour:
    'flour, plain flour, all purpose flour, wheat flour, rice flour, gram flour, besan, ~masa harina, ~semolina, ~polenta, ~cornmeal, ~cocoa powder, ~cocoa',
  vanilla:
    'vanilla extract, vanilla, vanilla essence, ~rose water, ~orange blossom water, almond extract, ~liquid smoke, ~kewra water, ~rosewater, ~food coloring, vanilla paste',
  'stock-concentrate':
    'stock concentrate, stock cube, bouillon cube, bouillon powder, stock powder, chicken stock cube, chicken bouillon, vegetable stock cube, beef stock cube, stock pot, chicken bouillon powder, chicken bouillon cube, beef bouillon, vegetable bouillon, vegetable stock powder, broth concentrate, chicken base, bouillon granule, chicken stock powder, stock paste, stock gel, chicken bouillon granule, beef bouillon cube, soup base, ~onion soup mix',
};
