/** Spanish names of meat, poultry, fish and eggs: see names-es. */
export const meatEs: Readonly<Record<string, string>> = {
  'chicken-breast':
    'pechuga de pollo, pechuga, filete de pollo, filete de pechuga, pechuga de pollo deshuesada, milanesa de pollo',
  'chicken-thigh':
    'contramuslo de pollo, contramuslo, muslo de pollo deshuesado, pollo, pollo troceado, encuentro de pollo, carne de pollo, entremuslo de pollo, presa de pollo, pieza de pollo, muslo deshuesado de pollo',
  'chicken-breast-bone': 'pechuga con hueso, pechuga de pollo con hueso',
  'chicken-thigh-bone': 'contramuslo con hueso, contramuslo de pollo con hueso',
  'chicken-drumstick': 'muslo de pollo, muslo, pierna de pollo, jamoncito de pollo, pata de pollo, muslito de pollo',
  'chicken-leg':
    'cuarto trasero de pollo, muslo de pollo entero, muslo entero de pollo, muslo entero, muslo y contramuslo, traseros de pollo, pierna y muslo de pollo',
  'chicken-wing': 'alita de pollo, ala de pollo, alita',
  'chicken-ground': 'pollo picado, carne picada de pollo, pollo molido, carne molida de pollo',
  'chicken-cooked': 'pollo cocido, pollo asado, sobra de pollo, pollo desmenuzado, pollo desmechado, pollo deshebrado',
  'turkey-breast': 'pechuga de pavo, filete de pavo',
  'turkey-thigh': 'contramuslo de pavo, pavo',
  'turkey-leg': 'muslo de pavo, jamoncito de pavo, pierna de pavo',
  'turkey-ground': 'pavo picado, pavo molido, carne picada de pavo, carne molida de pavo',
  'duck-leg': 'muslo de pato, pato, confit de pato',
  'guinea-fowl': 'pintada, gallina de guinea',
  rabbit: 'conejo, conejo troceado',
  'beef-ground':
    'carne picada, carne molida, carne picada de ternera, carne molida de res, ternera picada, res molida, carne picada de res, carne picada de vaca, carne molida de vacuno',
  'beef-steak':
    'bistec, bistec de res, bistec de ternera, bife, filete de ternera, filete de res, solomillo de ternera, solomillo de res, lomo de res, lomo fino, lomo liso, entrecot, churrasco, tira de res, punta de anca',
  'beef-stew':
    'carne de res, ternera, ternera para guisar, carne para guisar, res, carne de vaca, morcillo, carne de ternera, aguja de ternera, falda de res, carne para estofar, carne, jarrete, entrana, arrachera, vacio, falda de ternera, carrillera de ternera, carrillera, carrillada de ternera, aguja de res, espaldilla de ternera',
  'pork-ground': 'cerdo picado, carne picada de cerdo, carne molida de cerdo, cerdo molido, puerco molido',
  'pork-shoulder':
    'paleta de cerdo, cerdo, carne de cerdo, puerco, aguja de cerdo, magro de cerdo, carne de puerco, ~cabeza de lomo, magra de cerdo, ~carrillada de cerdo, ~carrillera de cerdo, ~carrillada iberica, ~secreto iberico, ~secreto de cerdo',
  'pork-loin': 'lomo de cerdo, solomillo de cerdo, chuleta de cerdo, lomo, chuleta, cinta de lomo',
  'lamb-shoulder': 'paletilla de cordero, paleta de cordero, espalda de cordero, cuello de cordero',
  'lamb-leg': 'cordero, pierna de cordero, carne de cordero, cordero troceado',
  'lamb-ground': 'cordero picado, carne picada de cordero, cordero molido',
  'goat-leg': 'cabrito, chivo, carne de cabra, cabra',
  'veal-ground': 'ternera blanca picada',
  venison: 'venado, ciervo, corzo',
  'sausage-smoked':
    'salchicha ahumada, chorizo, chorizo curado, morcilla, longaniza curada, butifarra, salchicha cocida, chorizo espanol',
  meatball: 'albondiga, albondiga de carne, albondiga de ternera, albondiga de cerdo, albondiguilla',
  'meatball-poultry': 'albondiga de pollo, albondiga de pavo, albondiguilla de pollo',
  'sausage-fresh':
    'salchicha fresca, salchicha, longaniza, chorizo fresco, chorizo criollo, longaniza fresca, chorizo mexicano, chistorra',
  'sausage-meat':
    'carne de salchicha, carne de longaniza, relleno de salchicha, salchicha desmenuzada, chorizo desmenuzado',
  ham: 'jamon, jamon cocido, jamon york, jamon serrano, jamon de york, taco de jamon, taquito de jamon, ~lacon',
  bacon: '~tocino, beicon, panceta, bacon, tocineta',
  shrimp: 'gamba, gambon, carabinero, langostino, camaron, gamba pelada, camarones',
  'white-fish': 'pescado blanco, pescado, merluza, bacalao, filete de pescado, rape, lomo de merluza, tilapia',
  salmon: 'salmon, lomo de salmon',
  egg: 'huevo, huevo entero',
  'chicken-liver': 'higado de pollo, higadito de pollo, higadito',
  'turkey-cooked': 'pavo cocido, pavo asado',
  'turkey-bacon': 'bacon de pavo, tocino de pavo, panceta de pavo',
  'beef-short-rib': 'costilla de res, costilla de ternera, asado de tira, costilla de vaca',
  'beef-oxtail': 'rabo de toro, rabo de buey, cola de res, rabo de vaca, rabo de ternera',
  'veal-stew': 'ternera blanca, osobuco, ossobuco',
  'pork-belly': 'panceta de cerdo, panceta fresca, panza de cerdo, tocino fresco, panceta de cerdo fresca',
  'pork-rib': 'costilla de cerdo, costilla, costillita de cerdo, costillita, costilla de cerdo troceada',
  'lamb-shank': 'pierna de cordero pequena, jarrete de cordero, codillo de cordero, garron de cordero, caña de cordero',
  'lamb-chop': 'chuleta de cordero, chuletita de cordero, costilla de cordero',
  mutton: 'carnero, oveja, carne de carnero',
  'wild-boar': 'jabali, carne de jabali',
  trout: 'trucha, filete de trucha, lomo de trucha',
  squid: 'calamar, chipiron, sepia, anilla de calamar, ~pulpo, ~jibia, ~choco',
  mussels: 'mejillon, ~almeja, ~berberecho, carne de mejillon, ~vieira, ~chirla, ~almeja fresca',
  'crab-meat': 'carne de cangrejo, cangrejo, carne de jaiba, carne de buey de mar, jaiba',
};
