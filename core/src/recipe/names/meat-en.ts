/** English names of meat, poultry, fish and eggs: see names-en. */
export const meatEn: Readonly<Record<string, string>> = {
  'chicken-breast':
    'chicken breast, chicken breast fillet, chicken breast half, chicken tender, chicken tenderloin, breast of chicken, breast, chicken fillet, chicken breast meat, chicken breast cutlet, chicken mini fillet, chicken breast mini fillet, chicken inner fillet, chicken goujon, chicken cutlet, chicken breast tender, chicken breast tenderloin',
  'chicken-thigh':
    'chicken thigh, thigh, chicken thigh fillet, chicken thigh meat, chicken piece, chicken leg meat, dark chicken meat, chicken, chicken meat, chicken part',
  'chicken-breast-bone':
    'chicken breast on the bone, bone in chicken breast, split chicken breast, chicken breast bone in, bone in breast',
  'chicken-thigh-bone':
    'chicken thigh on the bone, bone in chicken thigh, bone in thigh, chicken thigh bone in, thigh bone in',
  'chicken-drumstick': 'chicken drumstick, drumstick, chicken drumette',
  'chicken-leg': 'chicken leg, chicken leg quarter, leg quarter, chicken leg piece, whole chicken leg, chicken quarter',
  'chicken-wing': 'chicken wing, wing',
  'chicken-ground': 'ground chicken, chicken mince, minced chicken, chicken ground, chicken keema',
  'chicken-cooked':
    'cooked chicken, chicken cooked, leftover chicken, rotisserie chicken, shredded chicken, roast chicken, poached chicken, pulled chicken, leftover roast chicken, cooked chicken meat, cooked chicken breast, cooked shredded chicken, shredded cooked chicken',
  'turkey-breast':
    'turkey breast, turkey fillet, turkey escalope, turkey tenderloin, turkey breast fillet, turkey steak, turkey cutlet, turkey escalope',
  'turkey-thigh': 'turkey thigh, turkey, turkey thigh meat, turkey leg meat',
  'turkey-leg':
    'turkey wing, turkey leg, turkey drumstick, turkey thigh on the bone, bone in turkey thigh, turkey thigh bone in',
  'turkey-ground': 'ground turkey, turkey mince, minced turkey, turkey ground',
  'duck-leg': 'duck leg, duck, duck thigh, duck leg quarter',
  'guinea-fowl': 'guinea fowl, guinea hen, guinea fowl leg, guinea fowl piece',
  rabbit: 'rabbit, rabbit leg, rabbit piece, rabbit meat',
  'beef-ground':
    'ground beef, beef mince, minced beef, beef ground, mince, ground meat, ground chuck, lean ground beef, ground round, ground sirloin, keema, mincemeat, minced meat, hamburger, hamburger meat, burger meat',
  'beef-stew':
    'stewing beef, stew beef, beef stew, beef stew meat, stew meat, stewing steak, braising steak, beef chuck, chuck, beef shin, chuck roast, beef, diced beef, beef brisket, brisket, casserole steak, shin of beef, beef cube, beef shank, beef cheek, beef chuck roast, beef roast, pot roast, beef pot roast, rump roast, beef shoulder, beef joint, ox cheek, topside, silverside, flank steak, beef flank, skirt steak, chuck steak, chuck eye, blade steak, feather blade, featherblade, shin steak, beef blade, round steak, bottom round, eye of round, beef round, sirloin tip, top rump, ~tri tip',
  'beef-steak':
    'beef steak, steak, sirloin, sirloin steak, beef sirloin, rump steak, beef rump, ribeye, rib eye, ribeye steak, fillet steak, beef fillet, beef tenderloin, flat iron steak, minute steak, frying steak, stir fry beef, beef strip, bavette, top round, strip steak, ~steak tip',
  'pork-ground': 'ground pork, pork mince, minced pork, pork ground',
  'pork-shoulder':
    'pork shoulder, pork butt, boston butt, country style rib, country style pork rib, pork, diced pork, pork stew meat, pork collar, pork neck, carnitas meat, pork shoulder roast, pork roast, pork joint, pork shoulder joint, ~pork cheek',
  'pork-loin':
    'pork loin, pork chop, pork tenderloin, pork fillet, pork steak, pork cutlet, loin of pork, pork loin chop, pork loin roast, pork loin joint',
  'lamb-leg':
    'lamb leg, leg of lamb, lamb, diced lamb, lamb stew meat, lamb meat, lamb cube, stewing lamb, lamb leg steak, lamb roast, lamb joint, leg of lamb joint, leg of lamb roast',
  'lamb-shoulder': 'lamb shoulder, shoulder of lamb, lamb neck, neck of lamb, lamb neck fillet, lamb shoulder chop',
  'lamb-ground': 'ground lamb, lamb mince, minced lamb, lamb ground, lamb keema',
  'goat-leg': 'goat leg, goat, goat meat, kid meat, goat curry cut, goat shoulder',
  'veal-ground': 'ground veal, veal mince, minced veal, veal ground',
  venison: 'venison, deer meat, venison shoulder, diced venison, venison haunch',
  'sausage-smoked':
    'smoked sausage, sausage smoked, andouille sausage, andouille, kielbasa, chorizo, spanish chorizo, cured chorizo, dry chorizo, frankfurter, smoked kielbasa, cooked sausage, hot dog, smoked chorizo sausage, chorizo sausage, linguica, lap cheong, chinese sausage, ~lap chong',
  meatball: 'meatball, beef meatball, pork meatball, italian meatball, swedish meatball, mini meatball, lamb meatball',
  'meatball-poultry': 'chicken meatball, turkey meatball, poultry meatball',
  'sausage-fresh':
    'fresh sausage, sausage fresh, italian sausage, pork sausage, raw sausage, sausage, breakfast sausage, bratwurst, mexican chorizo, fresh chorizo, merguez, merguez sausage, hot italian sausage, sweet italian sausage, italian sausage link, sweet italian sausage link, hot italian sausage link, sausage link, pork sausage link, chipolata, banger',
  'sausage-meat':
    'sausage meat, sausagemeat, bulk sausage, ground sausage, ground italian sausage, ground pork sausage, bulk italian sausage, italian sausage meat, pork sausage meat, sausage crumble',
  ham: 'ham, cooked ham, ham steak, smoked ham, diced ham, ~gammon, ham hock meat, shredded ham hock, pulled ham hock, cooked ham hock',
  bacon:
    'bacon, smoked bacon, streaky bacon, back bacon, pancetta, lardon, bacon lardon, guanciale, bacon rasher, bacon bit',
  shrimp: 'shrimp, prawn, king prawn, tiger prawn, jumbo shrimp, raw prawn, large shrimp, scampi',
  'white-fish':
    'white fish, fish, cod, haddock, hake, pollock, tilapia, ~halibut, fish fillet, white fish fillet, cod fillet, haddock fillet, sea bass, ~monkfish, ~fish steak, snapper',
  salmon: 'salmon, salmon fillet, salmon steak, ~tuna steak, ~fresh tuna, ~ahi',
  egg: 'egg, hen egg, whole egg, chicken egg',
  'chicken-liver': 'chicken liver, ~poultry liver, ~duck liver',
  'turkey-cooked':
    'cooked turkey, leftover turkey, roast turkey, leftover roast turkey, turkey cooked, shredded turkey, ~smoked turkey leg, ~smoked turkey wing, ~smoked turkey drumstick',
  'turkey-bacon': 'turkey bacon, turkey rasher, turkey bacon rasher',
  'beef-short-rib': 'beef short rib, short rib, beef rib, boneless short rib, short rib of beef',
  'beef-oxtail': 'oxtail, beef oxtail, ox tail, beef tail',
  'veal-stew': 'veal, stewing veal, veal shoulder, diced veal, veal stew meat, veal shank, osso buco, veal stew',
  'pork-belly': 'pork belly, belly pork, belly of pork, side pork',
  'pork-rib': 'pork rib, spare rib, pork spare rib, baby back rib, sparerib, pork riblet',
  'lamb-shank': 'lamb shank, shank of lamb',
  'lamb-chop': 'lamb chop, lamb cutlet, lamb loin chop, lamb steak',
  mutton: 'mutton, mutton leg, ~hogget, mutton shoulder',
  'wild-boar': 'wild boar, boar, wild boar shoulder, diced wild boar',
  trout: 'trout, trout fillet, sea trout, rainbow trout, rainbow trout fillet, ~arctic char',
  squid: 'squid, calamari, squid ring, baby squid, squid tube, ~cuttlefish, ~octopus',
  mussels:
    'mussel, ~clam, fresh mussel, ~cockle, ~shucked clam, shelled mussel, mussel meat, ~clam meat, ~scallop, ~bay scallop, ~sea scallop',
  'crab-meat': 'crab meat, crabmeat, crab, lump crab meat, white crab meat, cooked crab, crab claw meat',
};
