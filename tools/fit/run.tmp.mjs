// tools/fit/main.ts
import { writeFileSync } from "node:fs";

// server/src/demo/chance.ts
function lcg(seed) {
  let state = seed >>> 0;
  return () => {
    state = Math.imul(state, 1664525) + 1013904223 >>> 0;
    return state / 4294967296;
  };
}
var normal = (random) => Math.sqrt(-2 * Math.log(1 - random())) * Math.cos(2 * Math.PI * random());

// core/src/physics/food.ts
var CONDUCTIVITY = {
  water: [0.57109, 17625e-7, -67036e-10],
  protein: [0.17881, 11958e-7, -27178e-10],
  fat: [0.18071, -27604e-8, -17749e-11],
  carbohydrate: [0.20141, 13874e-7, -43312e-10],
  fibre: [0.18331, 12497e-7, -31683e-10],
  ash: [0.32962, 14011e-7, -29069e-10]
};
var DENSITY = {
  water: [997.18, 31439e-7, -37574e-7],
  protein: [1329.9, -0.5184, 0],
  fat: [925.59, -0.41757, 0],
  carbohydrate: [1599.1, -0.31046, 0],
  fibre: [1311.5, -0.36589, 0],
  ash: [2423.8, -0.28063, 0]
};
var HEAT_CAPACITY = {
  water: [4176.2, -0.090864, 54731e-7],
  protein: [2008.2, 1.2089, -13129e-7],
  fat: [1984.2, 1.4733, -48008e-7],
  carbohydrate: [1548.8, 1.9625, -59399e-7],
  fibre: [1845.9, 1.8306, -46509e-7],
  ash: [1092.6, 1.8896, -36817e-7]
};
var at = ([a, b, c], tempC) => a + b * tempC + c * tempC * tempC;
var parts = (composition) => Object.entries(composition);
function densityKgPerM3(composition, tempC) {
  return 1 / parts(composition).reduce((sum, [name, fraction]) => sum + fraction / at(DENSITY[name], tempC), 0);
}
function heatCapacityJPerKgK(composition, tempC) {
  return parts(composition).reduce((sum, [name, fraction]) => sum + fraction * at(HEAT_CAPACITY[name], tempC), 0);
}
function conductivityWPerMK(composition, tempC) {
  const densityTotal = densityKgPerM3(composition, tempC);
  return parts(composition).reduce((sum, [name, fraction]) => {
    const volumeFraction = fraction / at(DENSITY[name], tempC) * densityTotal;
    return sum + volumeFraction * at(CONDUCTIVITY[name], tempC);
  }, 0);
}

// core/src/wok/heat/foodTable.ts
var of = (water, protein, fat, carbohydrate, fibre, ash) => ({
  water,
  protein,
  fat,
  carbohydrate,
  fibre,
  ash
});
var rate = (perS, atC, activationJPerMol) => ({ perS, atC, activationJPerMol });
var SLOW_BROWNING = rate(1 / 60, 140, 9e4);
var KILL = {
  poultry: { dS: 240, atC: 60, zK: 6 },
  meat: { dS: 110, atC: 60, zK: 5.56 },
  seafood: { dS: 60, atC: 60, zK: 6 },
  egg: { dS: 30, atC: 60, zK: 4.3 }
};
var PLANT = {
  bulkKgPerM3: 550,
  shapeN: 6,
  freeFraction: 0.01,
  givesUpFraction: 0.2,
  givesUpPerS: 4e-3,
  takesUpPerS: 0,
  innerKgPerM2S: 25e-4,
  dryActivity: 0.9,
  hasGaps: true,
  browns: SLOW_BROWNING,
  kill: null
};
var MEAT = {
  bulkKgPerM3: 750,
  shapeN: 6,
  freeFraction: 0.01,
  givesUpFraction: 0.2,
  givesUpPerS: 6e-3,
  takesUpPerS: 0,
  innerKgPerM2S: 3e-3,
  dryActivity: 0.9,
  hasGaps: true,
  softens: null,
  browns: SLOW_BROWNING
};
var AROMATIC = {
  ...PLANT,
  pieceM: 2e-3,
  givesUpFraction: 0,
  givesUpPerS: 0,
  innerKgPerM2S: 0.011,
  softens: null,
  browns: rate(1 / 2.8, 140, 9e4)
};
var GRAIN = {
  shapeN: 8,
  givesUpFraction: 0,
  givesUpPerS: 0,
  innerKgPerM2S: 25e-4,
  dryActivity: 0.3,
  hasGaps: true,
  softens: null,
  browns: rate(1 / 40, 140, 9e4),
  kill: null
};
var OIL = {
  ...MEAT,
  composition: of(0, 0, 1, 0, 0, 0),
  bulkKgPerM3: 900,
  pieceM: 2e-3,
  freeFraction: 0,
  givesUpFraction: 0,
  innerKgPerM2S: 0,
  kill: null
};
var FOOD_THERMAL = {
  rice: {
    ...GRAIN,
    composition: of(0.62, 0.032, 35e-4, 0.3365, 5e-3, 3e-3),
    bulkKgPerM3: 600,
    pieceM: 2e-3,
    freeFraction: 0.012,
    takesUpPerS: 0.012
  },
  noodle: {
    ...GRAIN,
    composition: of(0.7, 0.03, 0.01, 0.25, 6e-3, 4e-3),
    bulkKgPerM3: 650,
    pieceM: 3e-3,
    freeFraction: 0.05,
    takesUpPerS: 0.01
  },
  egg: {
    composition: of(0.753, 0.125, 0.1, 0.012, 0, 0.01),
    bulkKgPerM3: 1030,
    pieceM: 35e-4,
    shapeN: 6,
    freeFraction: 0.05,
    givesUpFraction: 0,
    givesUpPerS: 0,
    takesUpPerS: 0,
    innerKgPerM2S: 0.011,
    dryActivity: 0.9,
    hasGaps: false,
    softens: rate(0.06, 70, 3e5),
    browns: rate(1 / 30, 140, 9e4),
    kill: KILL.egg
  },
  garlic: { ...AROMATIC, composition: of(0.59, 0.064, 5e-3, 0.305, 0.021, 0.015) },
  ginger: { ...AROMATIC, composition: of(0.79, 0.018, 8e-3, 0.156, 0.02, 8e-3) },
  herb: {
    ...PLANT,
    composition: of(0.88, 0.025, 6e-3, 0.055, 0.02, 0.014),
    bulkKgPerM3: 150,
    pieceM: 1e-3,
    softens: rate(1 / 9, 80, 12e4),
    browns: rate(1 / 1.2, 140, 9e4)
  },
  paste: {
    ...PLANT,
    composition: of(0.55, 0.05, 0.12, 0.2, 0.05, 0.03),
    bulkKgPerM3: 1050,
    pieceM: 2e-3,
    freeFraction: 0.04,
    givesUpFraction: 0,
    givesUpPerS: 0,
    innerKgPerM2S: 0.01,
    softens: null,
    browns: rate(1 / 4, 140, 9e4)
  },
  allium: {
    ...PLANT,
    composition: of(0.89, 0.011, 1e-3, 0.074, 0.018, 6e-3),
    pieceM: 6e-3,
    softens: rate(1 / 75, 85, 9e4)
  },
  hardVeg: {
    ...PLANT,
    composition: of(0.88, 0.01, 2e-3, 0.071, 0.029, 8e-3),
    pieceM: 6e-3,
    softens: rate(1 / 75, 85, 1e5)
  },
  stem: {
    ...PLANT,
    composition: of(0.91, 0.022, 3e-3, 0.043, 0.014, 8e-3),
    pieceM: 8e-3,
    softens: rate(1 / 45, 85, 9e4)
  },
  crispVeg: {
    ...PLANT,
    composition: of(0.92, 0.01, 3e-3, 0.046, 0.016, 5e-3),
    pieceM: 6e-3,
    softens: rate(1 / 60, 85, 9e4)
  },
  leafy: {
    ...PLANT,
    composition: of(0.92, 0.022, 3e-3, 0.03, 0.015, 0.01),
    bulkKgPerM3: 90,
    pieceM: 15e-4,
    givesUpFraction: 0.35,
    givesUpPerS: 0.015,
    softens: rate(1 / 9, 80, 12e4)
  },
  softVeg: {
    ...PLANT,
    composition: of(0.94, 9e-3, 2e-3, 0.038, 6e-3, 5e-3),
    pieceM: 0.015,
    softens: rate(1 / 40, 80, 9e4)
  },
  readyVeg: { ...PLANT, composition: of(0.85, 0.03, 4e-3, 0.08, 0.03, 6e-3), pieceM: 8e-3, softens: null },
  peas: { ...PLANT, composition: of(0.79, 0.052, 4e-3, 0.1, 0.045, 9e-3), pieceM: 8e-3, shapeN: 10, softens: null },
  mushroom: {
    ...PLANT,
    composition: of(0.924, 0.031, 3e-3, 0.023, 0.01, 9e-3),
    bulkKgPerM3: 350,
    pieceM: 5e-3,
    givesUpFraction: 0.4,
    givesUpPerS: 8e-3,
    softens: rate(1 / 40, 85, 9e4)
  },
  seafood: {
    ...MEAT,
    composition: of(0.78, 0.195, 9e-3, 3e-3, 0, 0.013),
    pieceM: 0.013,
    shapeN: 8,
    kill: KILL.seafood
  },
  poultry: { ...MEAT, composition: of(0.745, 0.228, 0.015, 0, 0, 0.012), pieceM: 0.01, kill: KILL.poultry },
  meat: { ...MEAT, composition: of(0.72, 0.21, 0.058, 0, 0, 0.012), pieceM: 5e-3, kill: KILL.meat },
  mince: { ...MEAT, composition: of(0.67, 0.19, 0.13, 0, 0, 0.01), pieceM: 6e-3, kill: KILL.meat },
  cured: {
    ...MEAT,
    composition: of(0.5, 0.2, 0.26, 0.01, 0, 0.03),
    pieceM: 4e-3,
    givesUpFraction: 0.08,
    kill: KILL.meat
  },
  tofu: {
    ...MEAT,
    composition: of(0.73, 0.15, 0.08, 0.02, 0.01, 0.01),
    pieceM: 0.015,
    shapeN: 10,
    givesUpFraction: 0.1,
    kill: null
  },
  nut: {
    ...MEAT,
    composition: of(0.03, 0.25, 0.5, 0.13, 0.07, 0.02),
    bulkKgPerM3: 600,
    pieceM: 8e-3,
    shapeN: 10,
    freeFraction: 0,
    givesUpFraction: 0,
    innerKgPerM2S: 5e-4,
    kill: null
  },
  butter: {
    ...MEAT,
    composition: of(0.16, 8e-3, 0.815, 1e-3, 0, 0.016),
    bulkKgPerM3: 900,
    pieceM: 4e-3,
    freeFraction: 0.02,
    givesUpFraction: 0.14,
    givesUpPerS: 0.05,
    kill: null
  },
  oil: OIL,
  sesameOil: OIL,
  seasoning: {
    ...MEAT,
    composition: of(0.68, 0.08, 0, 0.08, 0, 0.16),
    bulkKgPerM3: 1150,
    pieceM: 1e-3,
    freeFraction: 0.68,
    givesUpFraction: 0,
    givesUpPerS: 0,
    kill: null
  },
  water: {
    ...MEAT,
    composition: of(1, 0, 0, 0, 0, 0),
    bulkKgPerM3: 1e3,
    pieceM: 1e-3,
    freeFraction: 1,
    givesUpFraction: 0,
    givesUpPerS: 0,
    hasGaps: false,
    convectsWPerM2K: 2200,
    kill: null
  }
};

// core/src/wok/heat/parameters.ts
var STEEL = { heatCapacityJPerKgK: 500, conductivityWPerMK: 45, densityKgPerM3: 7850 };
var FLAME_C = 1200;
var CEILING_BAND_K = 8;
var AIR_C = 25;
var AIR_VAPOUR_PA = 1585;
var BARE_METAL = { airWPerM2K: 10, emissivity: 0.85, griddleEmissivity: 0.6 };
var STEFAN_BOLTZMANN = 5670374419e-17;
var CONTACT = { dryWPerM2K: 170, oilWPerM2K: 170, wetWPerM2K: 1200 };
var OIL_FULL_KG_PER_M2 = 0.15;
var HALF_WET_FRACTION = 0.02;
var FLOATING = { fromC: 160, fullC: 230, leaves: 0.2 };
var PACKET = { share: 0.3, depthM: 25e-4 };
var BED_CONDUCTIVITY_SHARE = 0.5;
var SURFACE = { airWPerM2K: 12, catchDepthM: 0.02 };
var CATCH_BELOW_BOIL_K = 25;
var LEWIS_J_PER_M3K = 990;
var SPREAD_PER_S = 0.03;
var BULK_BOIL_PER_S = 0.5;
var MELT_PER_S = 0.15;
var SAUCE_FILM = { mostShare: 0.25, kgPerM2: 0.4, wPerM2K: 2500, drainS: 6 };
var WATER_J_PER_KGK = 4180;
var BOIL_C = 100;
var BOIL_J_PER_KG = 2256500;
var MELT_J_PER_KG = 333500;
var LEFT = {
  contactS: 30,
  contactShare: 0.95,
  pressed: 1,
  surface: 1,
  air: 1,
  caught: 0.7,
  hasLid: false,
  spread: 0.7,
  isStill: true
};
var MOVEMENT = {
  toss: { ...LEFT, contactS: 0.5, contactShare: 0.55, surface: 3, air: 2, caught: 0.4, spread: 0.6, isStill: false },
  stir: { ...LEFT, contactS: 1.5, contactShare: 0.7, surface: 1.6, air: 1.2, isStill: false },
  press: { ...LEFT, contactS: 20, contactShare: 1, pressed: 1.6 },
  leave: LEFT,
  flip: { ...LEFT, contactS: 12, contactShare: 0.85, surface: 1.3, air: 1.1 },
  cover: { ...LEFT, air: 0.1, caught: 0.9, hasLid: true }
};
var HOT_C = 74;
var LEAST_METAL_C = 140;

// core/src/safety/limits.ts
var MAX_HELD_S = 30;
var UK_PAIRS = [
  { coreC: 60, holdS: 2700 },
  { coreC: 65, holdS: 600 },
  { coreC: 70, holdS: 120 },
  { coreC: 75, holdS: 30 },
  { coreC: 80, holdS: 6 }
];
var US_MINCE_PAIRS = [
  { coreC: 63, coreF: 145, holdS: 180 },
  { coreC: 66, coreF: 150, holdS: 60 },
  { coreC: 68, coreF: 155, holdS: 17 },
  { coreC: 70, coreF: 158, holdS: 0 }
];
var once = (coreC, holdS, coreF) => [
  { coreC, ...coreF !== void 0 && { coreF }, holdS }
];
var RULES = {
  us: {
    poultry: { pairs: once(74, 0, 165), source: "FDA Food Code 2022 \xA73-401.11" },
    meat: { pairs: once(63, 15, 145), source: "FDA Food Code 2022 \xA73-401.11" },
    mince: { pairs: US_MINCE_PAIRS, source: "FDA Food Code 2022 \xA73-401.11" },
    seafood: { pairs: once(63, 15, 145), source: "FDA Food Code 2022 \xA73-401.11" },
    egg: { pairs: once(63, 15, 145), source: "FDA Food Code 2022 \xA73-401.11" },
    rice: { pairs: once(74, 0, 165), source: "house default, after FDA Food Code 2022 \xA73-403.11" }
  },
  uk: {
    poultry: { pairs: UK_PAIRS, source: "UK guidance: 70 \xB0C 2 min or equivalent" },
    meat: { pairs: UK_PAIRS, source: "UK guidance: 70 \xB0C 2 min or equivalent" },
    mince: { pairs: UK_PAIRS, source: "UK guidance: 70 \xB0C 2 min or equivalent" },
    seafood: { pairs: UK_PAIRS, source: "UK guidance: 70 \xB0C 2 min or equivalent, or supplier advice" },
    egg: { pairs: UK_PAIRS, source: "UK guidance: 70 \xB0C 2 min or equivalent" },
    rice: { pairs: once(75, 0), source: "UK guidance: reheat once" }
  },
  au: {
    poultry: { pairs: once(75, 0), source: "Australian usual guidance" },
    meat: { pairs: once(63, 0), source: "Australian usual guidance" },
    mince: { pairs: once(75, 0), source: "Australian usual guidance" },
    seafood: { pairs: once(63, 0), source: "Australian usual guidance" },
    egg: { pairs: once(75, 0), source: "Australian usual guidance" },
    rice: { pairs: once(74, 0), source: "house default, above Standard 3.2.2 (60 \xB0C)" }
  }
};
var SCOTTISH_RICE = { pairs: once(82, 0), source: "Scotland: reheat to 82 \xB0C, once" };
function cookLimit({ ruleSet, isScottish }, food) {
  const { pairs, source } = food === "rice" && ruleSet === "uk" && isScottish ? SCOTTISH_RICE : RULES[ruleSet][food];
  const input = pairs.find((pair) => pair.holdS <= MAX_HELD_S) ?? pairs[pairs.length - 1];
  if (!input) throw new RangeError(`no limit for ${food} under ${ruleSet}`);
  return { ...input, source, ...pairs.length > 1 && { equals: pairs } };
}

// core/src/wok/heat/layout.ts
var METAL_A = 0;
var METAL_B = 1;
var FILM = 2;
var HEAT_IN = 3;
var HEAT_OUT = 4;
var WATER_OUT = 5;
var COMMON = 6;
var HEAT = 0;
var FREE = 1;
var BOUND = 2;
var ICE = 3;
var PER_FOOD = 4;
var P_AREA_A = 0;
var P_AREA_B = 1;
var P_SURFACE = 2;
var P_FOOD_SIDE = 3;
var P_SUPPLY = 4;
var P_INNER = 5;
var P_DRY_J_PER_K = 6;
var P_DRY_KG = 7;
var P_BOUND_KG = 8;
var P_KEEPS_KG = 9;
var P_GIVES_UP_PER_S = 10;
var P_TAKES_UP_PER_S = 11;
var P_CATCH = 12;
var P_SHARE = 13;
var P_DRY_ACTIVITY = 14;
var P_ICE_TAPER = 15;
var P_AWAY_KG = 16;
var P_FLOATS = 17;
var P_TIME_SHARE = 18;
var P_TOWARDS = 19;
var P_REACHED = 20;
var P_MOST_BROWN = 21;
var P_MIXES = 22;
var PER_PART = 23;
var V_LEVEL = 0;
var V_HOLD_C = 1;
var V_BARE_A = 2;
var V_BARE_B = 3;
var V_DRY_SIDE = 4;
var V_PRESSED = 5;
var V_AIR = 6;
var V_FILM_C = 7;
var V_FILM_MOST_M2 = 8;
var V_FASTEST_PER_S = 9;
var V_BOIL_PER_S = 10;
var PER_VESSEL = 11;
var MOST_FOODS = 40;

// core/src/wok/heat/vessel.ts
var WOK_DEPTH_SHARE = 0.28;
var PAN_SIDE_M = 0.06;
var POT_DEPTH_SHARE = 0.6;
var PAN_BOTTOM_SHARE = 0.8;
var WORKABLE = { wok: 0.4, pan: 0.75, pot: 0.6 };
var GRIDDLE_HEAP_M = 0.045;
var ZONE = {
  gas: { metal: 0.5, heat: 0.8 },
  plate: { metal: 0.5, heat: 0.9 },
  induction: { metal: 0.35, heat: 1 }
};
var vesselsBefore = /* @__PURE__ */ new WeakMap();
function sameVesselOf(station) {
  const vessel = vesselsBefore.get(station) ?? vesselOf(station);
  vesselsBefore.set(station, vessel);
  return vessel;
}
function vesselOf(station) {
  for (const [name, value] of [
    ["massKg", station.massKg],
    ["powerW", station.powerW],
    ["efficiency", station.efficiency],
    ["holdC", station.holdC],
    ["zoneShare", station.zoneShare ?? 0.5],
    ["contact", station.contact ?? 1]
  ])
    if (!(value > 0 && value < Infinity)) throw new RangeError(`${name} ${value} is not above zero`);
  if (station.kind === "griddle") return griddle(station);
  return station.kind === "wok" ? wok(station) : flatPan(station);
}
var common = (station) => ({
  hasFlame: station.source === "gas",
  netW: station.powerW * station.efficiency,
  holdC: station.holdC,
  contact: station.contact ?? 1
});
function griddle(station) {
  const plate = station.plateM;
  if (!plate || !(plate.width > 0 && plate.length > 0))
    throw new RangeError("a griddle needs the measures of its plate");
  const areaM2 = plate.width * plate.length;
  const thickM = station.massKg / (STEEL.densityKgPerM3 * areaM2);
  const capacity = station.massKg * STEEL.heatCapacityJPerKgK / 2;
  return {
    ...common(station),
    shape: "flat",
    isGriddle: true,
    hasFlame: false,
    shareA: 0,
    capacityAJPerK: capacity,
    capacityBJPerK: capacity,
    areaAM2: areaM2,
    areaBM2: 0,
    outsideBM2: 0,
    conductanceWPerK: STEEL.conductivityWPerMK * areaM2 / (thickM / 2),
    emissivity: BARE_METAL.griddleEmissivity,
    sphereM: 0,
    volumeM3: areaM2 * GRIDDLE_HEAP_M,
    workableM3: areaM2 * GRIDDLE_HEAP_M
  };
}
function wok(station) {
  const radiusM = roundM(station) / 2;
  const depthM = station.depthM ?? WOK_DEPTH_SHARE * 2 * radiusM;
  if (!(depthM > 0 && depthM <= radiusM)) throw new RangeError(`depthM ${depthM} does not fit a wok of that diameter`);
  const sphereM = (radiusM * radiusM + depthM * depthM) / (2 * depthM);
  const areaM2 = 2 * Math.PI * sphereM * depthM;
  const volumeM3 = Math.PI * depthM * depthM * (3 * sphereM - depthM) / 3;
  const zone = { heat: ZONE[station.source].heat, metal: station.zoneShare ?? ZONE[station.source].metal };
  const thickM = station.massKg / (STEEL.densityKgPerM3 * areaM2);
  const edgeHeightM = zone.metal * depthM;
  const edgeRadiusM = Math.sqrt(2 * sphereM * edgeHeightM - edgeHeightM * edgeHeightM);
  const arcM = sphereM * Math.asin(radiusM / sphereM);
  const capacity = station.massKg * STEEL.heatCapacityJPerKgK;
  return {
    ...common(station),
    shape: "cap",
    isGriddle: false,
    shareA: zone.heat,
    capacityAJPerK: zone.metal * capacity,
    capacityBJPerK: (1 - zone.metal) * capacity,
    areaAM2: zone.metal * areaM2,
    areaBM2: (1 - zone.metal) * areaM2,
    outsideBM2: (1 - zone.metal) * areaM2,
    conductanceWPerK: STEEL.conductivityWPerMK * thickM * 2 * Math.PI * edgeRadiusM / (arcM / 2),
    emissivity: BARE_METAL.emissivity,
    sphereM,
    volumeM3,
    workableM3: WORKABLE.wok * volumeM3
  };
}
function flatPan(station) {
  const rimM = roundM(station);
  const isPot = station.kind === "pot";
  const bottomM = isPot ? rimM : PAN_BOTTOM_SHARE * rimM;
  const sideM = station.depthM ?? (isPot ? POT_DEPTH_SHARE * rimM : PAN_SIDE_M);
  if (!(sideM > 0)) throw new RangeError(`depthM ${sideM} is not above zero`);
  const bottomM2 = Math.PI * bottomM * bottomM / 4;
  const sideM2 = Math.PI * (bottomM + rimM) * sideM / 2;
  const metal = bottomM2 / (bottomM2 + sideM2);
  const thickM = station.massKg / (STEEL.densityKgPerM3 * (bottomM2 + sideM2));
  const capacity = station.massKg * STEEL.heatCapacityJPerKgK;
  const volumeM3 = Math.PI * sideM * (bottomM * bottomM + bottomM * rimM + rimM * rimM) / 12;
  return {
    ...common(station),
    shape: "flat",
    isGriddle: false,
    shareA: ZONE[station.source].heat,
    capacityAJPerK: metal * capacity,
    capacityBJPerK: (1 - metal) * capacity,
    areaAM2: bottomM2,
    areaBM2: sideM2,
    outsideBM2: sideM2,
    conductanceWPerK: STEEL.conductivityWPerMK * thickM * Math.PI * bottomM / (bottomM / 4 + sideM / 2),
    emissivity: BARE_METAL.emissivity,
    sphereM: 0,
    volumeM3,
    workableM3: (isPot ? WORKABLE.pot : WORKABLE.pan) * volumeM3
  };
}
function roundM({ kind, diameterM }) {
  if (diameterM === null || !(diameterM > 0 && diameterM < Infinity))
    throw new RangeError(`a ${kind} needs its diameter`);
  return diameterM;
}
function bareMetalWPerM2(tempC, emissivity) {
  const kelvin = tempC + 273.15;
  const air = AIR_C + 273.15;
  return BARE_METAL.airWPerM2K * (tempC - AIR_C) + emissivity * STEFAN_BOLTZMANN * (kelvin * kelvin * kelvin * kelvin - air * air * air * air);
}
function heapOf(vessel, volumeM3, layerM2, spread) {
  if (volumeM3 <= 0) return { coversM2: 0, surfaceM2: 0, depthM: 0 };
  if (vessel.shape === "flat") {
    const coversM22 = Math.min(vessel.isGriddle ? spread * vessel.areaAM2 : vessel.areaAM2, layerM2);
    return { coversM2: coversM22, surfaceM2: coversM22, depthM: volumeM3 / coversM22 };
  }
  const heightM = capHeightM(vessel.sphereM, volumeM3);
  const coversM2 = Math.min(2 * Math.PI * vessel.sphereM * heightM, layerM2, vessel.areaAM2 + vessel.areaBM2);
  const surfaceM2 = Math.min(Math.PI * heightM * (2 * vessel.sphereM - heightM), coversM2);
  return { coversM2, surfaceM2, depthM: volumeM3 / coversM2 };
}
function capHeightM(sphereM, volumeM3) {
  if (volumeM3 >= 4 / 3 * Math.PI * sphereM ** 3) return 2 * sphereM;
  let heightM = Math.min(sphereM, Math.sqrt(volumeM3 / (Math.PI * sphereM)));
  for (let pass = 0; pass < 6; pass += 1) {
    const over = Math.PI * heightM * heightM * (3 * sphereM - heightM) / 3 - volumeM3;
    heightM -= over / (Math.PI * heightM * (2 * sphereM - heightM));
  }
  return heightM;
}

// core/src/wok/heat/arrange.ts
var ICE_TAPER_SHARE = 0.15;
var AIR_WITH_VAPOUR = 6;
var LIQUID_DRY_SHARE = 0.02;
var AWAY_SHARE = 0.1;
function arrange(pan) {
  const { vessel, portions, fixed, parts: parts2, patches } = pan;
  const move = MOVEMENT[pan.handling];
  let volumeM3 = 0;
  let layerM2 = 0;
  let patchesM2 = 0;
  let apartM3 = 0;
  for (let index = 0; index < portions.length; index += 1) {
    const one = portions[index];
    patchesM2 += patches[index];
    if (patches[index] > 0) {
      apartM3 += one.volumeM3;
      continue;
    }
    volumeM3 += one.volumeM3;
    layerM2 += one.layerM2;
  }
  const heap = heapOf(vessel, volumeM3, layerM2, move.spread);
  const coversAM2 = Math.min(heap.coversM2, vessel.areaAM2 - patchesM2);
  const coversBM2 = Math.min(heap.coversM2 - coversAM2, vessel.areaBM2);
  fixed[V_BARE_A] = vessel.areaAM2 - coversAM2 - patchesM2;
  fixed[V_BARE_B] = vessel.areaBM2 - coversBM2 + vessel.outsideBM2;
  const oilFull = heap.coversM2 > 0 ? Math.min(1, pan.oilKg / (OIL_FULL_KG_PER_M2 * heap.coversM2)) : 0;
  fixed[V_DRY_SIDE] = oilFull;
  fixed[V_PRESSED] = move.pressed;
  fixed[V_AIR] = SURFACE.airWPerM2K * move.air;
  fixed[V_FILM_MOST_M2] = SAUCE_FILM.mostShare * vessel.areaAM2;
  const caught = move.caught * (move.hasLid ? 1 : 1 - Math.exp(-heap.depthM / SURFACE.catchDepthM));
  fixed[V_FASTEST_PER_S] = 0;
  const metalSide = (CONTACT.dryWPerM2K + CONTACT.oilWPerM2K * oilFull) * move.pressed;
  portions.forEach((one, index) => {
    const at3 = index * PER_PART;
    const patchM22 = patches[index];
    const isApart = patchM22 > 0;
    const share = volumeM3 === 0 ? one.volumeM3 / apartM3 : isApart ? 0 : one.volumeM3 / volumeM3;
    const packet = Math.sqrt(one.bedWPerMK * one.bedKgPerM3 * one.bedJPerKgK / (Math.PI * move.contactS));
    const piece = one.pieceM / 2 / (one.thermal.shapeN / 2 * one.pieceWPerMK);
    const touches = one.thermal.hasGaps ? Math.min(1, vessel.contact * move.contactShare) : 1;
    parts2[at3 + P_AREA_A] = isApart ? patchM22 : coversAM2 * share * touches;
    parts2[at3 + P_AREA_B] = coversBM2 * share * touches;
    parts2[at3 + P_SURFACE] = isApart ? patchM22 : heap.surfaceM2 * share * move.surface;
    parts2[at3 + P_FOOD_SIDE] = one.thermal.convectsWPerM2K ?? 1 / (1 / (2 * packet) + piece);
    const foodSide = parts2[at3 + P_FOOD_SIDE];
    const touched = parts2[at3 + P_AREA_A] + parts2[at3 + P_AREA_B];
    const heats = touched * metalSide * foodSide / (metalSide + foodSide) / one.dryJPerK;
    const airSide = AIR_WITH_VAPOUR * fixed[V_AIR];
    const cools = parts2[at3 + P_SURFACE] * airSide * foodSide / (airSide + foodSide) / one.dryJPerK;
    const mixes = isApart ? 0 : one.piecesM2 * CONTACT.dryWPerM2K * foodSide / (CONTACT.dryWPerM2K + foodSide);
    parts2[at3 + P_MIXES] = mixes;
    const evens = mixes / (one.dryJPerK + (one.freeKg + one.boundKg) * WATER_J_PER_KGK);
    fixed[V_FASTEST_PER_S] = Math.max(fixed[V_FASTEST_PER_S], heats + cools + evens);
    parts2[at3 + P_SUPPLY] = PACKET.share * one.bedKgPerM3 * PACKET.depthM / move.contactS;
    parts2[at3 + P_INNER] = one.thermal.innerKgPerM2S;
    parts2[at3 + P_DRY_J_PER_K] = one.dryJPerK;
    parts2[at3 + P_DRY_KG] = one.dryKg;
    parts2[at3 + P_BOUND_KG] = one.boundKg;
    parts2[at3 + P_KEEPS_KG] = one.boundKg - one.givesUpKg;
    parts2[at3 + P_GIVES_UP_PER_S] = one.thermal.givesUpPerS;
    parts2[at3 + P_TAKES_UP_PER_S] = one.thermal.takesUpPerS;
    parts2[at3 + P_CATCH] = caught / CATCH_BELOW_BOIL_K;
    parts2[at3 + P_SHARE] = share;
    const waterKg = one.freeKg + one.boundKg;
    parts2[at3 + P_AWAY_KG] = one.dryKg < LIQUID_DRY_SHARE * waterKg ? AWAY_SHARE * waterKg : 0;
    parts2[at3 + P_FLOATS] = one.thermal.convectsWPerM2K === void 0 ? 1 : 0;
    parts2[at3 + P_ICE_TAPER] = ICE_TAPER_SHARE * one.iceJ;
    parts2[at3 + P_DRY_ACTIVITY] = one.thermal.dryActivity;
    const ownM2 = isApart ? patchM22 / move.contactShare : (coversAM2 + coversBM2) * share;
    arrangeBrowning(parts2, at3, one.volumeM3, ownM2, share, move);
  });
}
var AMONG_STILL = { shareBelow: 0.3, mostPerS: 0.25 };
function arrangeBrowning(parts2, at3, volumeM3, ownM2, share, move) {
  parts2[at3 + P_TIME_SHARE] = Math.min(1, ownM2 * PACKET.depthM / volumeM3);
  parts2[at3 + P_TOWARDS] = 0.1 + 0.4 * share;
  parts2[at3 + P_REACHED] = share + (1 - share) * move.contactS / (move.contactS + 1);
  parts2[at3 + P_MOST_BROWN] = move.isStill && share < AMONG_STILL.shareBelow ? AMONG_STILL.mostPerS : Infinity;
}

// core/src/wok/heat/load.ts
var PROPERTIES_AT_C = 50;
var FROZEN_SHARE = 0.88;
var PIECE_KG_PER_M3 = 1060;
var LEAST_J_PER_KGK = 50;
function portionOf(load) {
  const { food, massG, tempC } = load;
  if (!(massG > 0 && massG < Infinity)) throw new RangeError(`massG ${massG} of ${food} is not above zero`);
  if (!(tempC >= -40 && tempC <= 100)) throw new RangeError(`tempC ${tempC} of ${food} is outside -40 to 100`);
  const thermal = FOOD_THERMAL[food];
  const pieceM = (load.pieceMm ?? thermal.pieceM * 1e3) / 1e3;
  if (!(pieceM > 0 && pieceM < 1)) throw new RangeError(`pieceMm ${load.pieceMm} of ${food} is outside 0 to 1000`);
  const { water, capacityJPerKgK, conductivity } = propertiesOf(
    load.composition ?? thermal.composition,
    load.waterFraction
  );
  const massKg = massG / 1e3;
  const freeFraction = Math.min(load.freeFraction ?? freeFractionOf(food, thermal, water), water);
  const capacityJPerK2 = massKg * capacityJPerKgK;
  const dryJPerK = Math.max(massKg * LEAST_J_PER_KGK, capacityJPerK2 - massKg * water * WATER_J_PER_KGK);
  const pieceWPerMK = conductivity;
  const bedJPerKgK = capacityJPerK2 / massKg;
  const volumeM3 = massKg / thermal.bulkKgPerM3;
  return {
    food,
    thermal,
    dryKg: massKg * (1 - water),
    dryJPerK,
    freeKg: massKg * freeFraction,
    boundKg: massKg * (water - freeFraction),
    givesUpKg: massKg * Math.min(thermal.givesUpFraction, water - freeFraction),
    tempC,
    iceJ: load.isFrozen || tempC < -2 ? massKg * water * FROZEN_SHARE * MELT_J_PER_KG : 0,
    volumeM3,
    layerM2: volumeM3 / pieceM,
    // A slab has two faces to its thickness, a stick as much as four, a dice as much as six.
    piecesM2: (thermal.shapeN - 4) * massKg / PIECE_KG_PER_M3 / pieceM,
    pieceM,
    pieceWPerMK,
    bedWPerMK: (thermal.hasGaps ? BED_CONDUCTIVITY_SHARE : 1) * pieceWPerMK,
    bedKgPerM3: thermal.bulkKgPerM3,
    bedJPerKgK,
    diffusivityM2PerS: pieceWPerMK / (PIECE_KG_PER_M3 * bedJPerKgK)
  };
}
var propertiesBefore = /* @__PURE__ */ new WeakMap();
var MOST_WATERS = 200;
function propertiesOf(composition, waterFraction) {
  const byWater = propertiesBefore.get(composition) ?? /* @__PURE__ */ new Map();
  const known = byWater.get(waterFraction);
  if (known) return known;
  const wet = withWater(composition, waterFraction);
  const properties = {
    water: wet.water ?? 0,
    capacityJPerKgK: heatCapacityJPerKgK(wet, PROPERTIES_AT_C),
    conductivity: conductivityWPerMK(wet, PROPERTIES_AT_C)
  };
  if (byWater.size >= MOST_WATERS) byWater.clear();
  byWater.set(waterFraction, properties);
  propertiesBefore.set(composition, byWater);
  return properties;
}
var RICE_FREE = { atWater: 0.62, fraction: 0.012, perWater: 0.55, least: 2e-3 };
var freeFractionOf = (food, thermal, water) => food === "rice" ? Math.max(RICE_FREE.least, RICE_FREE.fraction + RICE_FREE.perWater * (water - RICE_FREE.atWater)) : thermal.freeFraction;
function withWater(composition, waterFraction) {
  if (waterFraction === void 0) return composition;
  if (!(waterFraction >= 0 && waterFraction < 1))
    throw new RangeError(`waterFraction ${waterFraction} is outside 0 to 1`);
  const dry = 1 - (composition.water ?? 0);
  const scale = dry > 0 ? (1 - waterFraction) / dry : 0;
  const scaled = Object.entries(composition).map(([name, share]) => [
    name,
    name === "water" ? waterFraction : share * scale
  ]);
  return Object.fromEntries(scaled);
}

// core/src/wok/heat/pan.ts
var { abs, max, min } = Math;
function emptyPan(vessel, metalAC, metalBC, oilG, handling) {
  const pan = {
    vessel,
    portions: [],
    y: new Float64Array(COMMON + MOST_FOODS * PER_FOOD),
    fixed: new Float64Array(PER_VESSEL),
    parts: new Float64Array(MOST_FOODS * PER_PART),
    put: new Float64Array(2),
    faces: new Float64Array(MOST_FOODS),
    patches: new Float64Array(MOST_FOODS),
    handling,
    oilKg: oilG / 1e3,
    atS: 0
  };
  pan.y[METAL_A] = vessel.capacityAJPerK * metalAC;
  pan.y[METAL_B] = vessel.capacityBJPerK * metalBC;
  pan.put[0] = vessel.capacityAJPerK * metalAC + vessel.capacityBJPerK * metalBC;
  pan.fixed[V_LEVEL] = 1;
  pan.fixed[V_HOLD_C] = vessel.holdC;
  pan.fixed[V_BOIL_PER_S] = BULK_BOIL_PER_S;
  arrange(pan);
  return pan;
}
var copyPan = (pan) => ({
  vessel: pan.vessel,
  portions: pan.portions.slice(),
  y: pan.y.slice(),
  fixed: pan.fixed.slice(),
  parts: pan.parts.slice(),
  put: pan.put.slice(),
  faces: pan.faces.slice(),
  patches: pan.patches.slice(),
  handling: pan.handling,
  oilKg: pan.oilKg,
  atS: pan.atS
});
var putIn = (pan, load) => putPortionIn(pan, portionOf(load));
function putPortionIn(pan, one) {
  if (pan.portions.length >= MOST_FOODS) throw new RangeError(`more than ${MOST_FOODS} components in one vessel`);
  const index = pan.portions.push(one) - 1;
  pan.patches[index] = 0;
  const at3 = COMMON + index * PER_FOOD;
  const heatJ = (one.dryJPerK + (one.freeKg + one.boundKg) * WATER_J_PER_KGK) * one.tempC;
  pan.y[at3 + HEAT] = heatJ;
  pan.y[at3 + FREE] = one.freeKg;
  pan.y[at3 + BOUND] = one.boundKg;
  pan.y[at3 + ICE] = one.iceJ;
  pan.put[0] += heatJ - one.iceJ;
  pan.put[1] += one.freeKg + one.boundKg;
  arrange(pan);
  return index;
}
function pourOnMetal(pan, waterKg, tempC) {
  const was = pan.y[FILM];
  const mixC = was + waterKg > 0 ? (pan.fixed[V_FILM_C] * was + tempC * waterKg) / (was + waterKg) : tempC;
  pan.y[FILM] = was + waterKg;
  pan.fixed[V_FILM_C] = mixC;
  pan.put[0] += waterKg * WATER_J_PER_KGK * tempC;
  pan.put[1] += waterKg;
}
function setWork(pan, work) {
  if (work.level !== void 0) pan.fixed[V_LEVEL] = work.level;
  if (work.holdC !== void 0) pan.fixed[V_HOLD_C] = work.holdC;
  if (work.handling === void 0 || work.handling === pan.handling) return;
  pan.handling = work.handling;
  arrange(pan);
}
function pourOil(pan, oilKg) {
  pan.oilKg = max(0, pan.oilKg + oilKg);
  arrange(pan);
}
var metalC = (pan) => pan.y[METAL_A] / pan.vessel.capacityAJPerK;
var rimC = (pan) => pan.y[METAL_B] / pan.vessel.capacityBJPerK;
function capacityJPerK(pan, index) {
  const at3 = COMMON + index * PER_FOOD;
  return pan.portions[index].dryJPerK + (pan.y[at3 + FREE] + pan.y[at3 + BOUND]) * WATER_J_PER_KGK;
}
var foodC = (pan, index) => pan.y[COMMON + index * PER_FOOD + HEAT] / capacityJPerK(pan, index);
function heapC(pan) {
  let heat = 0;
  let capacity = 0;
  pan.portions.forEach((_, index) => {
    heat += pan.y[COMMON + index * PER_FOOD + HEAT];
    capacity += capacityJPerK(pan, index);
  });
  return capacity > 0 ? heat / capacity : null;
}
function heapMass(pan) {
  let massKg = 0;
  let freeKg = 0;
  for (let index = 0; index < pan.portions.length; index += 1) {
    const at3 = COMMON + index * PER_FOOD;
    massKg += pan.portions[index].dryKg + pan.y[at3 + FREE] + pan.y[at3 + BOUND];
    freeKg += pan.y[at3 + FREE];
  }
  return { massKg, freeKg };
}
function residuals(pan) {
  const { y, fixed, put: put2 } = pan;
  let heat = y[METAL_A] + y[METAL_B] + y[FILM] * WATER_J_PER_KGK * fixed[V_FILM_C];
  let water = y[FILM];
  for (let index = 0; index < pan.portions.length; index += 1) {
    const at3 = COMMON + index * PER_FOOD;
    heat += y[at3 + HEAT] - y[at3 + ICE];
    water += y[at3 + FREE] + y[at3 + BOUND];
  }
  const heatMoved = abs(put2[0]) + y[HEAT_IN] + abs(y[HEAT_OUT]);
  const waterMoved = put2[1] + y[WATER_OUT];
  return {
    energy: heatMoved > 0 ? abs(heat - put2[0] - y[HEAT_IN] + y[HEAT_OUT]) / heatMoved : 0,
    water: waterMoved > 0 ? abs(water - put2[1] + y[WATER_OUT]) / waterMoved : 0
  };
}
var catchShare = (parts2, at3, tempC) => parts2[at3 + P_CATCH] * min(CATCH_BELOW_BOIL_K, max(0, BOIL_C - tempC));

// core/src/wok/heat/contact.ts
var { max: max2, min: min2 } = Math;
function floatingShare(metalTempC) {
  const over = (metalTempC - FLOATING.fromC) / (FLOATING.fullC - FLOATING.fromC);
  return 1 - (1 - FLOATING.leaves) * min2(1, max2(0, over));
}
var contact = new Float64Array(3);
function touch(metalTempC, foodTempC, metalSide, foodSide, supply) {
  const plainC = (metalSide * metalTempC + foodSide * foodTempC) / (metalSide + foodSide);
  if (plainC <= BOIL_C) {
    contact[0] = metalSide * (metalTempC - plainC);
    contact[1] = 0;
    contact[2] = plainC;
    return;
  }
  const steamJPerKg = BOIL_J_PER_KG + WATER_J_PER_KGK * (BOIL_C - foodTempC);
  const demand = (metalSide * (metalTempC - BOIL_C) - foodSide * (BOIL_C - foodTempC)) / steamJPerKg;
  const steam = min2(demand, supply);
  const faceC2 = (metalSide * metalTempC + foodSide * foodTempC - steam * steamJPerKg) / (metalSide + foodSide);
  contact[0] = metalSide * (metalTempC - faceC2);
  contact[1] = steam;
  contact[2] = faceC2;
}
function metalSideWPerM2K(fixed, wet, floats, metalTempC) {
  const wets = floats > 0 ? floatingShare(metalTempC) : 1;
  return (CONTACT.dryWPerM2K + CONTACT.oilWPerM2K * fixed[V_DRY_SIDE] + CONTACT.wetWPerM2K * wet * wets) * fixed[V_PRESSED];
}

// core/src/wok/heat/face.ts
var { max: max3 } = Math;
function wetShare(pan, index) {
  const at3 = COMMON + index * PER_FOOD;
  const free = max3(0, pan.y[at3 + FREE]);
  const fraction = free / (pan.parts[index * PER_PART + P_DRY_KG] + free + pan.y[at3 + BOUND]);
  return fraction / (fraction + HALF_WET_FRACTION);
}
function faceC(pan, index) {
  const { y, parts: parts2, fixed } = pan;
  const part3 = index * PER_PART;
  const at3 = COMMON + index * PER_FOOD;
  const metalTempC = y[METAL_A] / pan.vessel.capacityAJPerK;
  const water = y[at3 + FREE] + y[at3 + BOUND];
  const boundKg = parts2[part3 + P_BOUND_KG];
  const inner = boundKg > 0 ? parts2[part3 + P_INNER] * max3(0, y[at3 + BOUND]) / boundKg : 0;
  const outer = parts2[part3 + P_SUPPLY] * max3(0, y[at3 + FREE]) / (parts2[part3 + P_DRY_KG] + water);
  const foodTempC = y[at3 + HEAT] / (parts2[part3 + P_DRY_J_PER_K] + water * WATER_J_PER_KGK);
  const metalSide = metalSideWPerM2K(fixed, wetShare(pan, index), parts2[part3 + P_FLOATS], metalTempC);
  touch(metalTempC, foodTempC, metalSide, parts2[part3 + P_FOOD_SIDE], outer + inner);
  return contact[2];
}

// core/src/wok/heat/doneness.ts
var { exp, log, max: max4, min: min3, sqrt } = Math;
var GAS_J_PER_MOL_K = 8.314462;
var ZERO_K = 273.15;
var MOST_WET_C = 100;
var MOST_DRY_C = 260;
var THICK_M = 5e-3;
var KILLS_FROM_C = 50;
function rateAt(rate2, tempC) {
  const inverse = 1 / (rate2.atC + ZERO_K) - 1 / (tempC + ZERO_K);
  return rate2.perS * exp(rate2.activationJPerMol / GAS_J_PER_MOL_K * inverse);
}
var killPerS = (kill, tempC) => tempC < KILLS_FROM_C ? 0 : 10 ** ((tempC - kill.atC) / kill.zK) / kill.dS;
var CORE = 0;
var SOFT = 1;
var BROWN = 2;
var KILL2 = 3;
var SOFT_PER_S = 4;
var BROWN_PER_S = 5;
var KILL_PER_S = 6;
var LAG_S = 7;
var SOFT_A = 8;
var SOFT_B = 9;
var BROWN_A = 10;
var BROWN_B = 11;
var KILL_A = 12;
var KILL_B = 13;
var BY_CORE = 14;
var HAD_KG = 15;
var PER_ROW = 16;
var startFollowing = () => ({ rows: new Float64Array(MOST_FOODS * PER_ROW), count: 0 });
var copyFollowing = ({ rows, count }) => ({ rows: rows.slice(), count });
function followAdded(pan, following) {
  for (let index = following.count; index < pan.portions.length; index += 1)
    follow(pan, following, index, { coreC: foodC(pan, index), softness: 0, browning: 0, logKill: 0 });
}
var followReturned = (pan, following, one) => follow(pan, following, pan.portions.length - 1, one);
function follow(pan, following, index, one) {
  const { thermal, pieceM, diffusivityM2PerS, freeKg, boundKg } = pan.portions[index];
  const { rows } = following;
  const row = index * PER_ROW;
  rows[row + LAG_S] = pieceM * pieceM / 4 / (thermal.shapeN * diffusivityM2PerS);
  rows[row + CORE] = one.coreC;
  rows[row + SOFT] = one.softness;
  rows[row + BROWN] = one.browning;
  rows[row + KILL2] = one.logKill;
  rows[row + SOFT_A] = thermal.softens ? arrheniusA(thermal.softens) : -Infinity;
  rows[row + SOFT_B] = thermal.softens ? arrheniusB(thermal.softens) : 0;
  rows[row + BROWN_A] = arrheniusA(thermal.browns);
  rows[row + BROWN_B] = arrheniusB(thermal.browns);
  rows[row + KILL_A] = thermal.kill ? -(Math.LN10 * thermal.kill.atC) / thermal.kill.zK - log(thermal.kill.dS) : -Infinity;
  rows[row + KILL_B] = thermal.kill ? Math.LN10 / thermal.kill.zK : 0;
  rows[row + BY_CORE] = pieceM >= THICK_M ? 1 : 0;
  rows[row + HAD_KG] = freeKg + boundKg;
  pan.faces[index] = faceC(pan, index);
  ratesOf(pan, rows, index);
  following.count = index + 1;
}
var arrheniusB = ({ activationJPerMol }) => activationJPerMol / GAS_J_PER_MOL_K;
var arrheniusA = (rate2) => log(rate2.perS) + arrheniusB(rate2) / (rate2.atC + ZERO_K);
function followLifted(following, index) {
  const one = donenessAt(following, index);
  following.rows.copyWithin(index * PER_ROW, (index + 1) * PER_ROW, following.count * PER_ROW);
  following.count -= 1;
  return one;
}
function addLag({ rows }, index, seconds) {
  rows[index * PER_ROW + LAG_S] += seconds;
}
var donenessAt = ({ rows }, index) => ({
  coreC: rows[index * PER_ROW + CORE],
  softness: rows[index * PER_ROW + SOFT],
  browning: rows[index * PER_ROW + BROWN],
  logKill: rows[index * PER_ROW + KILL2]
});
var coreCAt = ({ rows }, index) => rows[index * PER_ROW + CORE];
var softnessAt = ({ rows }, index) => rows[index * PER_ROW + SOFT];
var browningAt = ({ rows }, index) => rows[index * PER_ROW + BROWN];
var logKillAt = ({ rows }, index) => rows[index * PER_ROW + KILL2];
var browningPerSAt = ({ rows }, index) => rows[index * PER_ROW + BROWN_PER_S];
function followStep(pan, { rows, count }, stepS) {
  for (let index = 0; index < count; index += 1) {
    const row = index * PER_ROW;
    const meanC = foodC(pan, index);
    rows[row + CORE] = min3(MOST_WET_C, meanC - (meanC - rows[row + CORE]) * exp(-stepS / rows[row + LAG_S]));
    const softBefore = rows[row + SOFT_PER_S];
    const brownBefore = rows[row + BROWN_PER_S];
    const killBefore = rows[row + KILL_PER_S];
    ratesOf(pan, rows, index);
    rows[row + SOFT] += stepS * sqrt(softBefore * rows[row + SOFT_PER_S]);
    rows[row + BROWN] += stepS * sqrt(brownBefore * rows[row + BROWN_PER_S]);
    rows[row + KILL2] += stepS * sqrt(killBefore * rows[row + KILL_PER_S]);
  }
}
function ratesOf(pan, rows, index) {
  const { y, parts: parts2, faces } = pan;
  const at3 = COMMON + index * PER_FOOD;
  const part3 = index * PER_PART;
  const row = index * PER_ROW;
  const coreC = rows[row + CORE];
  const waterKg = y[at3 + FREE] + y[at3 + BOUND];
  const meanC = min3(MOST_WET_C, y[at3 + HEAT] / (parts2[part3 + P_DRY_J_PER_K] + waterKg * WATER_J_PER_KGK));
  const softA = rows[row + SOFT_A];
  if (softA > -Infinity) {
    const softC = rows[row + BY_CORE] > 0 ? coreC : meanC;
    rows[row + SOFT_PER_S] = exp(softA - rows[row + SOFT_B] / (softC + ZERO_K));
  } else rows[row + SOFT_PER_S] = 0;
  const killA = rows[row + KILL_A];
  rows[row + KILL_PER_S] = coreC < KILLS_FROM_C || killA === -Infinity ? 0 : exp(killA + rows[row + KILL_B] * coreC);
  const face = faces[index];
  const metalTempC = y[METAL_A] / pan.vessel.capacityAJPerK;
  const towards = face + parts2[part3 + P_TOWARDS] * max4(0, metalTempC - face);
  let filmC = towards;
  if (towards > BOIL_C) {
    const hadKg = rows[row + HAD_KG];
    const dried = hadKg > 0 ? min3(1, max4(0, 1 - waterKg / hadKg)) : 1;
    filmC = BOIL_C + parts2[part3 + P_REACHED] * (towards - BOIL_C) * dried * sqrt(dried);
  }
  const browns = exp(rows[row + BROWN_A] - rows[row + BROWN_B] / (min3(MOST_DRY_C, filmC) + ZERO_K));
  rows[row + BROWN_PER_S] = min3(parts2[part3 + P_MOST_BROWN], browns * parts2[part3 + P_TIME_SHARE]);
}

// core/src/wok/sequence/lumps.ts
var DIFFUSES_M2_PER_S = 14e-8;
var ROUND = 10;
var lumpLagS = (lumpMm) => (lumpMm / 2e3) ** 2 / (ROUND * DIFFUSES_M2_PER_S);
var OPENS_S = { ladle: 25, edge: 12, masher: 15, wood: 30 };

// core/src/wok/sequence/smokePoint.ts
var SMOKES_AT_C = { oil: 225, butter: 150, sesameOil: 177 };
var smokePointC = (food, known) => known ?? SMOKES_AT_C[food] ?? null;

// core/src/wok/sequence/place.ts
var PLANT_PROTEIN = ["tofu", "nut", "peas"];
var MEATS = ["seafood", "poultry", "meat", "mince", "cured"];
var QUICK = ["garlic", "ginger", "herb"];
var READY_STATES = ["cooked", "frozen", "thawed", "blanched", "soaked"];
var SLOW_FROM_S = 60;
function isRawProtein({ role, readyToEat, mustCook }, food, state) {
  if (mustCook && role !== "egg") return true;
  if (role === "rice" || role === "egg" || readyToEat === true || state === "cooked") return false;
  if (PLANT_PROTEIN.includes(food)) return false;
  return role === "protein" || MEATS.includes(food) || food === "egg";
}
function placeOf({ role, readyToEat, mustCook, target }, food, state, tags, isRaw) {
  if (isRaw) return "raw";
  switch (role) {
    case "rice":
      return "rice";
    case "egg":
      return !mustCook && (readyToEat || state === "cooked") ? "ready" : "egg";
    case "fat":
      return food === "butter" ? "butter" : food === "sesameOil" || tags.has("sesame") ? "sesame" : "fat";
    case "paste":
      return "paste";
    case "drySeasoning":
      if (target?.kind === "bloomed") return "paste";
      return tags.has("volatile") ? "volatile" : "dry";
    case "liquidSeasoning":
      return food === "sesameOil" || tags.has("sesame") ? "sesame" : "sauce";
    case "finish":
      return target?.kind === "heatedThrough" ? "soft" : "finish";
    case "garnish":
      return "garnish";
    case "protein":
      return "ready";
    case "aromatic":
    case "vegetable":
      return plantPlace(role, food, state, tags);
  }
}
function plantPlace(role, food, state, tags) {
  if (tags.has("tender")) return "finish";
  if (QUICK.includes(food)) return role === "aromatic" ? "quick" : "leaf";
  if (food === "paste") return "paste";
  if (MEATS.includes(food) || food === "egg" || food === "tofu" || food === "nut") return "ready";
  if (food === "leafy") return state === "cooked" || state === "blanched" ? "readyVeg" : "leaf";
  if (tags.has("quick")) return "soft";
  if (food === "softVeg") return "soft";
  if (food === "readyVeg" || food === "peas" || food === "noodle" || READY_STATES.includes(state)) return "readyVeg";
  return "crisp";
}
var refined = (place, target) => place === "crisp" && target === "fragrant" ? "quick" : place;
var isSlow = ({ place, target }, needS2) => place === "crisp" && target === "softened" && needS2 >= SLOW_FROM_S;
var AT_C = 88;
function softSeconds(food, index) {
  const { softens } = FOOD_THERMAL[food];
  return softens ? index / rateAt(softens, AT_C) : 0;
}

// core/src/wok/sequence/component.ts
var FOOD_OF_ROLE = {
  rice: "rice",
  egg: "egg",
  aromatic: "garlic",
  paste: "paste",
  // What nobody knows is cooked as the strictest.
  protein: "poultry",
  vegetable: "crispVeg",
  drySeasoning: "seasoning",
  liquidSeasoning: "seasoning",
  fat: "oil",
  finish: "herb",
  garnish: "herb"
};
var FRIDGE_C = 4;
var ROOM_C = 20;
var FROZEN_C = -18;
var DRY_WATER = 0.02;
var READY_C = { aimed: 76, checked: 74 };
var LOG_KILL = {
  poultry: 7,
  meat: 5,
  mince: 6.5,
  seafood: 4,
  egg: 5,
  rice: 0
};
var BURN_AT = { garlic: 8, ginger: 11, herb: 14, paste: 8, egg: 12 };
var USUAL_BURN = { vegetable: 8, raw: 12, ready: 10 };
var SOFT_GOAL = { crispVeg: 0.4, hardVeg: 0.6, allium: 0.5 };
var GOLDEN = { aromatic: 3, ready: 0.6 };
var FRAGRANT_ALLIUM = 0.3;
var EGG_SET = 0.85;
function componentOf(input, riceG, riceTempC, rules) {
  const { id, role } = input;
  const tags = new Set(input.tags ?? []);
  const food = foodOf(input, tags);
  const state = input.state ?? (role === "rice" ? "cooked" : role === "egg" || role === "protein" ? "raw" : "fresh");
  const isRaw = isRawProtein(input, food, state);
  const place = placeOf(input, food, state, tags, isRaw);
  const target = input.target?.kind ?? defaultTarget(place, food, role, state);
  const pieceMm = input.cut?.sizeMm ?? FOOD_THERMAL[food].pieceM * 1e3;
  const checked2 = checkedFood(place, food);
  const limit = checked2 ? cookLimit(rules, checked2) : null;
  const isFrozen = state === "frozen" || (input.tempC ?? 0) < -2;
  return {
    id,
    of: input.of ?? id,
    stage: input.stage ?? null,
    lap: input.lap ?? 0,
    role,
    state,
    food,
    place: refined(place, target),
    massG: input.ratioG * riceG / 100,
    tempC: input.tempC ?? (role === "rice" ? riceTempC : isFrozen ? FROZEN_C : isColdKept(place, food) ? FRIDGE_C : ROOM_C),
    pieceMm,
    isCutAfter: input.cut?.afterCooking ?? false,
    isFrozen,
    target,
    goal: goalOf(target, food, place, input.target?.value),
    coreC: place === "raw" ? limit.coreC : place === "rice" ? limit.coreC : isHeated(place) ? READY_C.checked : null,
    logKill: place === "raw" || place === "egg" ? logKillOf(food, checked2, limit) : null,
    checked: checked2,
    burnAt: BURN_AT[food] ?? USUAL_BURN[place === "raw" ? "raw" : place === "ready" ? "ready" : "vegetable"],
    tags,
    allergens: input.allergens ?? [],
    lumpLagS: lumpLagS(input.lumpMm ?? 0),
    rendersG: rendersG(input, food, riceG),
    smokesAtC: smokePointC(food, input.smokesAtC),
    composition: input.composition,
    waterFraction: input.waterFraction ?? (role === "drySeasoning" ? DRY_WATER : void 0),
    portion: null
  };
}
var RENDERING = { leastFraction: 0.1, share: 0.6 };
function rendersG({ ratioG, fatFraction, composition }, food, riceG) {
  const fraction = fatFraction ?? composition?.fat ?? FOOD_THERMAL[food].composition.fat ?? 0;
  const isMeat = MEATS.includes(food);
  return isMeat && fraction >= RENDERING.leastFraction ? RENDERING.share * fraction * ratioG * riceG / 100 : 0;
}
var loadOf = (one, share = 1) => ({
  food: one.food,
  massG: one.massG * share,
  tempC: one.tempC,
  pieceMm: one.pieceMm,
  isFrozen: one.isFrozen,
  ...one.composition && { composition: one.composition },
  ...one.waterFraction !== void 0 && { waterFraction: one.waterFraction }
});
var loadInWok = (one, share = 1) => one.place === "sauce" ? { ...loadOf(one, share), freeFraction: 1 } : loadOf(one, share);
function portionFor(one) {
  one.portion ??= portionOf(loadInWok(one));
  return one.portion;
}
function foodOf({ food, role, target }, tags) {
  if (role === "drySeasoning" && target?.kind === "bloomed") return "paste";
  if (tags.has("mince") && (food === void 0 || food === "meat" || food === "poultry")) return "mince";
  if (food === void 0 && role === "fat" && tags.has("sesame")) return "sesameOil";
  return food ?? FOOD_OF_ROLE[role];
}
function defaultTarget(place, food, role, state) {
  switch (place) {
    case "rice":
      return "dryGrained";
    case "egg":
      return "set";
    case "raw":
      return "cookedThrough";
    case "ready":
    case "readyVeg":
    case "soft":
      return "heatedThrough";
    case "quick":
      return "fragrant";
    case "paste":
      return "bloomed";
    case "leaf":
      return "wilted";
    case "slow":
    case "crisp":
      return food === "allium" && role === "aromatic" || food === "hardVeg" && state === "fresh" ? "softened" : "tenderCrisp";
    case "dry":
    case "volatile":
    case "sauce":
    case "fat":
    case "butter":
    case "sesame":
    case "finish":
    case "garnish":
      return "none";
  }
}
function goalOf(target, food, place, value) {
  switch (target) {
    case "set":
      return -Math.log(1 - Math.min(0.99, value ?? EGG_SET));
    case "golden":
      return place === "ready" || place === "raw" ? GOLDEN.ready : GOLDEN.aromatic;
    case "fragrant":
      return food === "allium" ? FRAGRANT_ALLIUM : 1;
    case "tenderCrisp":
      return SOFT_GOAL[food] ?? 1;
    default:
      return 1;
  }
}
function checkedFood(place, food) {
  if (place === "rice") return "rice";
  if (place === "egg") return "egg";
  if (place !== "raw") return null;
  return food === "seafood" || food === "meat" || food === "mince" || food === "egg" ? food : food === "cured" ? "meat" : "poultry";
}
function logKillOf(food, checked2, { coreC, holdS }) {
  const kill = FOOD_THERMAL[food].kill;
  return Math.max(LOG_KILL[checked2], kill && checked2 !== "egg" ? holdS * killPerS(kill, coreC) : 0);
}
var isHeated = (place) => place === "ready";
var isColdKept = (place, food) => place === "raw" || place === "ready" || place === "egg" || place === "readyVeg" || MEATS.includes(food);

// core/src/wok/sequence/needs.ts
var AT_C2 = 88;
var QUICK_S = { garlic: 25, ginger: 25, paste: 35, herb: 8 };
var METAL_GIVES_K = 16;
var FLAME_REACHES = 0.55;
var LAYER_W_PER_M2 = 28600;
function needS(one, vessel) {
  const quick = one.place === "quick" || one.place === "paste" ? QUICK_S[one.food] : void 0;
  if (quick !== void 0) return quick;
  const { layerM2, pieceM, thermal, diffusivityM2PerS } = portionFor(one);
  const { composition } = FOOD_THERMAL[one.food];
  const massKg = one.massG / 1e3;
  const energyJ = massKg * (heatCapacityJPerKgK(composition, 50) * (AT_C2 - one.tempC) + (one.isFrozen ? (composition.water ?? 0) * MELT_J_PER_KG : 0));
  const area = Math.max(1e-4, Math.min(0.5 * vessel.areaAM2, layerM2));
  const heatS = Math.max(
    (energyJ - METAL_GIVES_K * vessel.capacityAJPerK) / (FLAME_REACHES * vessel.netW),
    energyJ / (LAYER_W_PER_M2 * area)
  );
  const lagS = pieceM * pieceM / 4 / (thermal.shapeN * diffusivityM2PerS);
  const isSoftened2 = one.target === "softened" || one.target === "tenderCrisp" || one.target === "wilted";
  return heatS + (isSoftened2 || one.target === "fragrant" ? softSeconds(one.food, one.goal) : 0) + lagS;
}

// core/src/wok/sequence/parts.ts
var ALONE_FROM_MM = 16;
var rawAlone = ({ state, pieceMm, isCutAfter }) => state === "marinated" || pieceMm > ALONE_FROM_MM || isCutAfter;
function partsOf(components, garlic, splitAllergens, vessel) {
  const needs = new Map(components.map((one) => [one.id, needS(one, vessel)]));
  const byId = /* @__PURE__ */ new Map();
  const last = Math.max(0, ...components.map(({ lap }) => lap));
  const parts2 = {
    rice: [],
    egg: [],
    raw: [],
    ready: [],
    quick: [],
    garlicAtEnd: [],
    paste: [],
    slow: [],
    crisp: [],
    readyVeg: [],
    leaf: [],
    soft: [],
    dry: [],
    volatile: [],
    sauce: [],
    fat: [],
    butter: [],
    sesame: [],
    finish: [],
    garnish: [],
    shares: [],
    laps: [],
    byId,
    needS: ({ id }) => needs.get(id) ?? 0
  };
  const listFor = (one, isRawAtEnd) => {
    if (waitsForSplit(one, splitAllergens) || one.stage === "finish") return parts2.finish;
    if (one.stage !== null && one.place !== "raw") return parts2.shares;
    const lap = one.lap > 0 && one.lap < last ? parts2.laps[one.lap - 1] : void 0;
    if (lap && (one.place === "rice" || one.place === "dry" || one.place === "sauce" || one.place === "volatile"))
      return lap[one.place];
    return isRawAtEnd ? parts2.garlicAtEnd : parts2[one.place];
  };
  parts2.laps = Array.from({ length: Math.max(0, last - 1) }, () => ({ rice: [], dry: [], sauce: [], volatile: [] }));
  for (const given of [...components].sort((a, b) => compareText(a.id, b.id))) {
    const isGarlic = given.place === "quick" && given.food === "garlic";
    const one = isGarlic && garlic === "golden" ? { ...given, target: "golden", goal: 3 } : given;
    byId.set(one.id, one);
    listFor(one, isGarlic && garlic === "atEnd").push(one);
  }
  return parts2;
}
var MUST_FRY = ["rice", "egg", "raw", "fat"];
var waitsForSplit = ({ allergens, place }, split = []) => !MUST_FRY.includes(place) && allergens.some((one) => split.includes(one));
var compareText = (a, b) => a < b ? -1 : a > b ? 1 : 0;

// core/src/wok/sequence/vocabulary.ts
var BASE_ORDERS = ["slowFirst", "roles", "proteinFirst", "need"];

// core/src/book/schools.ts
var SCHOOLS = {
  egg: [
    "firstOut",
    "firstUnder",
    "inPassing",
    "inPassingAside",
    "well",
    "wellBeforeRice",
    "sheet",
    "threads",
    "coated",
    "onTop"
  ],
  eggReturn: ["beforeRice", "late"],
  leaf: ["beforeSauce", "afterSauce"],
  returns: ["beforeSauce", "afterSauce"],
  heat: ["full", "high", "medium", "mediumThenHigh", "lowRising", "zones"],
  sauce: ["wall", "lastPour", "partThenRest", "offHeat"],
  rice: ["toss", "stir", "pressLift", "leaveCrust"],
  rawProtein: ["inSequence", "ownOut", "withBaseOut"],
  readyProtein: ["base", "halfTime", "late"],
  readyVeg: ["base", "halfTime", "late"],
  paste: ["afterAromatics", "first", "afterProtein"],
  wipe: ["none", "betweenStages"],
  batches: ["whole", "tossedInBowl"],
  seasoningOrder: ["dryFirst", "dryLast"],
  ownStages: ["eggFirst", "eggLast"],
  garlic: ["early", "atEnd", "golden", "halfAndHalf"],
  oil: ["lean", "usual", "rich", "pressedBack"],
  eggBreak: ["curds", "peaSize", "crumbled"],
  preheat: ["toSmoke", "offWhileOiling", "oilFromCold"],
  lastToss: ["asBefore", "lowered"],
  lid: ["none", "onBase", "onRice"],
  tool: ["ladle", "edge", "masher", "wood"]
};

// core/src/wok/sequence/choices.ts
var EGG_AUTO = {
  wok: ["firstOut", "firstUnder", "inPassing", "well"],
  griddle: ["firstOut", "onTop"]
};
var USUAL = {
  egg: "firstOut",
  eggReturn: "late",
  leaf: "beforeSauce",
  returns: "beforeSauce",
  heat: "full",
  sauce: "wall",
  rice: "stir",
  rawProtein: "ownOut",
  readyProtein: "base",
  readyVeg: "base",
  paste: "afterAromatics",
  wipe: "none",
  batches: "whole",
  seasoningOrder: "dryFirst",
  ownStages: "eggFirst",
  garlic: "early",
  oil: "usual",
  eggBreak: "peaSize",
  preheat: "toSmoke",
  lastToss: "asBefore",
  lid: "none",
  tool: "ladle"
};
function axesOf(dishStates, parts2, station) {
  const { isGriddle, isCoated } = station;
  const hasEgg = parts2.egg.length > 0;
  const stated = hasEgg ? dishStates : { ...dishStates, egg: void 0 };
  const axis = (name, matters, auto = SCHOOLS[name]) => {
    const said = stated[name];
    if (said !== void 0 && said !== "auto") return [said];
    return matters ? [...auto] : [auto[0] ?? USUAL[name]];
  };
  const free = parts2.raw.filter((one) => !rawAlone(one)).length > 0;
  const hasBase = parts2.slow.length + parts2.crisp.length + parts2.quick.length + parts2.paste.length > 0;
  const hasOut = hasEgg || parts2.raw.length > 0;
  const hasSauce = parts2.sauce.length > 0;
  return {
    egg: axis("egg", hasEgg, isGriddle ? EGG_AUTO.griddle : EGG_AUTO.wok),
    heat: axis("heat", true, isGriddle ? ["full", "zones"] : ["full", "mediumThenHigh"]),
    rawProtein: axis("rawProtein", free, ["ownOut", "inSequence", "withBaseOut"]),
    order: hasBase ? [...BASE_ORDERS] : ["slowFirst"],
    quick: parts2.quick.length > 0 && bearsLateAromatics(stated, isGriddle) ? ["inBase", "afterRice"] : ["inBase"],
    sauce: axis("sauce", hasSauce, isGriddle ? ["lastPour"] : ["wall", "lastPour"]),
    rice: axis("rice", false, [station.handling === "toss" ? "toss" : "stir"]),
    readyProtein: axis("readyProtein", parts2.ready.length > 0, ["base", "halfTime"]),
    readyVeg: axis("readyVeg", parts2.readyVeg.length > 0, ["base", "halfTime"]),
    paste: axis("paste", parts2.paste.length > 0),
    eggReturn: axis("eggReturn", hasEgg, ["late", "beforeRice"]),
    leaf: axis("leaf", parts2.leaf.length > 0 && hasSauce),
    returns: axis("returns", hasOut && hasSauce),
    seasoningOrder: axis("seasoningOrder", parts2.dry.length > 0),
    ownStages: axis("ownStages", hasEgg && parts2.raw.length > 0),
    wipe: axis("wipe", false),
    batches: axis("batches", false, ["whole"]),
    garlic: axis("garlic", false),
    oil: axis("oil", false, ["usual"]),
    eggBreak: axis("eggBreak", false, ["peaSize"]),
    preheat: isCoated ? ["oilFromCold"] : axis("preheat", false),
    lastToss: axis("lastToss", false),
    lid: axis("lid", false),
    tool: isCoated ? ["wood"] : axis("tool", false)
  };
}
var bearsLateAromatics = ({ egg, rice }, isGriddle) => isGriddle || egg === "firstUnder" || rice === "leaveCrust" || rice === "pressLift";
var MAJOR = ["egg", "heat", "rawProtein", "order", "quick"];
var MINOR = [
  "readyProtein",
  "readyVeg",
  "sauce",
  "returns",
  "leaf",
  "paste",
  "eggReturn",
  "ownStages",
  "seasoningOrder"
];
function majorChoices(axes, stated) {
  const usual = Object.fromEntries(Object.entries(axes).map(([name, values]) => [name, values[0]]));
  const isOpen = (name) => stated[name] === void 0 || stated[name] === "auto";
  const all = MAJOR.reduce(
    (some, name) => some.flatMap((choice) => axes[name].map((value) => ({ ...choice, [name]: value }))),
    [usual]
  ).map((choice) => underEgg(choice, isOpen));
  const fitting = all.filter((choice) => isFitting(choice, axes));
  return fitting.length > 0 ? fitting : all;
}
var underEgg = (choice, isOpen) => choice.egg !== "firstUnder" ? choice : {
  ...choice,
  ...isOpen("readyProtein") && { readyProtein: "halfTime" },
  ...isOpen("readyVeg") && { readyVeg: "halfTime" }
};
function isFitting({ egg, rawProtein }, axes) {
  if (axes.rawProtein.length === 1) return true;
  if (egg === "inPassing" || egg === "inPassingAside") return rawProtein === "inSequence";
  if (egg === "firstUnder" || egg === "coated") return rawProtein !== "inSequence";
  return true;
}
var minorChanges = (choice, axes) => MINOR.flatMap(
  (name) => axes[name].filter((value) => value !== choice[name]).map((value) => ({ ...choice, [name]: value }))
);

// core/src/wok/heat/handlingOfLoad.ts
var USUAL_LIFT_KG = 4;
function handlingOfLoad(asked, { massKg, liftKg }, foodG) {
  const isTooHeavy = massKg + foodG / 1e3 > (liftKg ?? USUAL_LIFT_KG);
  return asked === "toss" && isTooHeavy ? "stir" : asked;
}

// core/src/wok/sequence/candidate.ts
var SAME_COST = 1.5;
function best(tried) {
  const holds = tried.filter(({ faults }) => faults.length === 0);
  const some = holds.length > 0 ? holds : [...tried].sort((a, b) => a.faults.length - b.faults.length).slice(0, 1);
  const least = Math.min(...some.map(({ cost }) => cost));
  return some.find(({ cost }) => cost <= least + SAME_COST);
}
function checked(tried, finely) {
  let left = tried;
  let first = null;
  for (let n = 0; n < 4 && left.length > 0; n += 1) {
    const one = best(left);
    const fine = finely(one);
    first ??= fine;
    if (fine.faults.length === 0) return fine;
    left = left.filter((other) => other !== one);
  }
  return first;
}
function runnerUpOf(tried, chosen) {
  const entries = ({ moves }) => moves.filter(({ kind }) => kind === "in").map(({ ids: ids2 }) => ids2.join("+")).join(" ");
  const others = tried.filter(
    (one) => one.faults.length === 0 && (one.choice.egg !== chosen.choice.egg || one.choice.heat !== chosen.choice.heat || entries(one) !== entries(chosen))
  );
  return others.length > 0 ? best(others) : null;
}

// core/src/wok/sequence/costWeights.ts
var COST = {
  takeOut: 12,
  wipe: 6,
  perS: 0.1,
  waitPerS: 0.05,
  entry: 0.8,
  dipPerK: 0.25,
  unfriedPerS: 0.4,
  freeWater: 600,
  burn: 25 / 0.4,
  leafPast: 6,
  vegetablePast: 4,
  shortfall: 40,
  asidePerK: 0.08,
  eggOnDirty: 4,
  quickLate: 10,
  readyIntoRice: 5,
  vegetableIntoRice: 2,
  crispIntoRice: 80,
  frozenIntoRice: 30,
  caramel: -4,
  butterPerK: 0.2,
  acrossZones: 3
};
var OVERDONE_PER_S = {
  seafood: 0.1,
  poultry: 0.09,
  meat: 0.08,
  mince: 0.08,
  egg: 0.03,
  cured: 0.02
};
function intoRiceCost({ place, isFrozen, massG }, riceG) {
  const frozen = isFrozen ? COST.frozenIntoRice * massG / riceG : 0;
  switch (place) {
    case "ready":
      return frozen + COST.readyIntoRice;
    case "readyVeg":
      return frozen + COST.vegetableIntoRice;
    case "crisp":
      return frozen + COST.vegetableIntoRice + COST.crispIntoRice * massG / riceG;
    default:
      return frozen;
  }
}
var SOFT_SHORT = 0.25;
var shortfallCost = (place, progress) => COST.shortfall * (place === "soft" ? SOFT_SHORT : 1) * Math.max(0, 1 - progress);
var PAST = { vegetable: 1.8, leaf: 2.5 };
function tooSoftCost(softness, what) {
  const past = PAST[what];
  const perGoal = what === "leaf" ? COST.leafPast : COST.vegetablePast;
  return perGoal * past * Math.log(Math.max(1, softness / past));
}

// core/src/wok/sequence/cost.ts
var DIP_BELOW_C = 140;
var FRIED_S = 25;
var FREE_OVER = 6e-3;
var BURN_OVER = 0.6;
var BUTTER_BROWNS_C = 150;
function costOf(run, { isGriddle }) {
  const { moves, rice } = run;
  const count = (test) => moves.filter(test).length;
  const waitedS = moves.reduce((sum, { waitedS: one }) => sum + one, 0);
  const riceAt2 = moves.findIndex(({ move }) => move.slot === "rice");
  const riceG = massOf(run, ({ place }) => place === "rice");
  let cost = COST.takeOut * count(({ move }) => move.kind === "out") + COST.wipe * count(({ move }) => move.kind === "wipe") + COST.perS * run.totalS + COST.waitPerS * waitedS + COST.entry * count(({ move }) => move.kind === "in") + COST.dipPerK * Math.max(0, DIP_BELOW_C - rice.lowestC) + COST.unfriedPerS * Math.max(0, FRIED_S - rice.fryingS) + COST.freeWater * Math.max(0, rice.freeFraction - FREE_OVER) + COST.asidePerK * run.asideK + COST.caramel * Math.min(1, run.caramel) + COST.butterPerK * (Math.max(0, run.butterC - BUTTER_BROWNS_C) + run.fatOverK);
  for (const { one, progress, burn, overS, softness } of run.ended) {
    cost += COST.burn * Math.max(0, burn - BURN_OVER);
    cost += (OVERDONE_PER_S[one.food] ?? 0) * (one.place === "raw" || one.place === "ready" || one.place === "egg" ? overS : 0);
    cost += shortfallCost(one.place, progress);
    if (one.place === "leaf") cost += tooSoftCost(softness / one.goal, "leaf");
    if (one.place === "slow" || one.place === "crisp") cost += tooSoftCost(softness / one.goal, "vegetable");
  }
  let isDirty = false;
  moves.forEach(({ move }, index) => {
    const some = move.kind === "in" ? move.ids.flatMap((id) => componentIn(run, id) ?? []) : [];
    if (move.kind === "wipe") isDirty = false;
    if (move.slot === "eggUnder" && isDirty) cost += COST.eggOnDirty;
    if (move.slot === "egg" && isDirty) cost += COST.eggOnDirty;
    if (move.slot === "own" || move.slot === "base") isDirty = true;
    for (const one of some) {
      if (one.place === "quick" && !isGriddle && (index > riceAt2 || isAfterQuickVegetable(run, index)))
        cost += move.slot === "finish" ? 0 : COST.quickLate;
      if (index > riceAt2 && riceG > 0) cost += intoRiceCost(one, riceG);
    }
  });
  if (run.choice.heat === "zones") cost += COST.acrossZones * count(({ move }) => move.kind === "out");
  return cost;
}
function isAfterQuickVegetable(run, index) {
  return run.moves.slice(0, index).some(({ move }) => move.slot === "base" && move.ids.some((id) => componentIn(run, id)?.place === "crisp"));
}
var componentIn = (run, id) => run.ended.find(({ one }) => one.id === id)?.one;
var massOf = (run, test) => run.ended.reduce((sum, { one }) => sum + (test(one) ? one.massG : 0), 0);

// core/src/wok/sequence/estimate.ts
var ROUGH = { eggS: 30, riceShare: 0.6, backS: 10, lateShare: 0.5, amongFood: 0.25 };
var ASIDE_K = 25;
function estimate(moves, parts2) {
  const lain = /* @__PURE__ */ new Map();
  const needOf2 = (one) => one.place === "egg" ? ROUGH.eggS : parts2.needS(one);
  let clockS = 0;
  let cost = 0;
  let isDirty = false;
  let isPastVegetables = false;
  let isPastRice = false;
  let isHeaped = false;
  const riceG = parts2.rice.reduce((sum, { massG }) => sum + massG, 0);
  const put2 = (id) => {
    const one = parts2.byId.get(id);
    if (one) lain.set(id, { one, sinceS: clockS, inS: lain.get(id)?.inS ?? 0 });
  };
  const take2 = (id) => {
    const of2 = lain.get(id);
    if (of2 && of2.sinceS !== null) lain.set(id, { ...of2, inS: of2.inS + clockS - of2.sinceS, sinceS: null });
  };
  for (const move of moves) {
    const some = move.ids.flatMap((id) => parts2.byId.get(id) ?? []);
    if (move.kind === "wipe") {
      cost += COST.wipe;
      isDirty = false;
    }
    if (move.kind === "in") {
      cost += COST.entry;
      if ((move.slot === "egg" || move.slot === "eggUnder") && isDirty) cost += COST.eggOnDirty;
      if (move.slot === "own" || move.slot === "base") isDirty = true;
      if (move.slot === "base" && isPastVegetables && some.some(({ place }) => place === "quick"))
        cost += COST.quickLate;
      if (move.slot === "base" && some.some(({ place }) => place === "crisp")) isPastVegetables = true;
      if (move.slot === "base" && isHeaped) cost += COST.perS * ROUGH.amongFood * readySeconds(some, needOf2);
      if (move.slot === "base") isHeaped ||= some.some(({ place }) => place !== "quick" && place !== "paste");
      if (isPastRice) cost += some.reduce((sum, one) => sum + intoRiceCost(one, riceG), 0);
      if (move.slot === "rice") isPastRice = true;
    }
    if (move.kind === "in" || move.kind === "back") move.ids.forEach(put2);
    clockS += roughSeconds(move, some, parts2, needOf2, (id) => inSeconds(lain.get(id), clockS));
    if (move.kind === "out") {
      cost += COST.takeOut + COST.asidePerK * ASIDE_K * move.ids.length;
      move.ids.forEach(take2);
    }
  }
  cost += COST.perS * clockS;
  for (const of2 of lain.values()) cost += pastCost(of2.one, inSeconds(of2, clockS), needOf2(of2.one));
  return cost;
}
var readySeconds = (some, needOf2) => Math.max(0, ...some.map((one) => one.place === "ready" ? needOf2(one) : 0));
var inSeconds = (of2, clockS) => of2 ? of2.inS + (of2.sinceS === null ? 0 : clockS - of2.sinceS) : 0;
function roughSeconds({ until: until2, slot, kind }, some, parts2, needOf2, lainS) {
  const longest = (ids2, most = Infinity) => Math.max(
    0,
    ...ids2.map((id) => {
      const one = parts2.byId.get(id);
      return one ? Math.min(most, needOf2(one)) - lainS(id) : 0;
    })
  );
  const riceS = ROUGH.riceShare * Math.max(0, ...parts2.rice.map(needOf2));
  switch (until2.kind) {
    case "seconds":
    case "held":
      return until2.seconds;
    case "progress":
      if (kind === "back") return ROUGH.backS;
      return Math.min(
        until2.mostS,
        until2.at * Math.max(0, ...some.map(needOf2)) * (slot === "late" || slot === "afterRice" ? ROUGH.lateShare : 1)
      );
    case "baseEnd":
      return Math.min(until2.mostS, Math.max(longest(until2.ids), longest(until2.aromatics, until2.aromaticS)));
    case "riceHalf":
      return riceS / 2;
    case "riceDone":
      return slot === "rice" ? riceS : riceS / 2;
    case "crust":
      return until2.mostS / 2;
    case "dry":
      return until2.leastS;
  }
}
function pastCost(one, inS, needS2) {
  switch (one.place) {
    case "raw":
    case "ready":
    case "egg":
      return (OVERDONE_PER_S[one.food] ?? 0) * Math.max(0, inS - needS2);
    case "slow":
    case "crisp":
    case "leaf": {
      const softS = softSeconds(one.food, one.goal);
      const softness = inS < needS2 || softS === 0 ? inS / needS2 : 1 + (inS - needS2) / softS;
      const past = tooSoftCost(softness, one.place === "leaf" ? "leaf" : "vegetable");
      return past + shortfallCost(one.place, softness);
    }
    case "soft":
      return shortfallCost(one.place, inS / needS2);
    default:
      return 0;
  }
}

// core/src/wok/sequence/fats.ts
var FRIES_FROM_G = 3;
var renderers = (some) => some.filter(({ rendersG: rendersG2 }) => rendersG2 >= FRIES_FROM_G).sort((a, b) => b.rendersG - a.rendersG || (a.id < b.id ? -1 : 1));
var RENDERS = { fromC: 45, fullC: 100, perS: 1 / 120 };
var rendersPerS = (tempC) => RENDERS.perS * Math.min(1, Math.max(0, (tempC - RENDERS.fromC) / (RENDERS.fullC - RENDERS.fromC)));

// core/src/wok/sequence/moves.ts
var ENTRY_S = 3;
var forSeconds = (seconds) => ({ kind: "seconds", seconds });

// core/src/wok/sequence/makeMoves.ts
var MOST_S = {
  egg: 75,
  own: 420,
  late: 120,
  quickLate: 30,
  soft: 45,
  leaf: 75,
  well: 120,
  returns: 20,
  sauce: 45,
  crust: 120
};
var SECONDS = {
  oil: 2,
  takeOut: 5,
  dry: 8,
  fold: 3,
  bowl: 20,
  spread: 6,
  sauce: 15,
  taste: 6,
  volatile: 2,
  off: 2,
  finish: 10,
  top: 5,
  wipe: 8,
  butter: 6,
  check: 4
};
var ids = (some) => some.map(({ id }) => id);
var oilMove = (segment) => ({
  kind: "oil",
  slot: "oil",
  ids: [],
  segment,
  until: forSeconds(SECONDS.oil)
});
var isOut = ({ egg }) => egg === "firstOut" || egg === "threads" || egg === "inPassingAside";
var outMove = (out, segment) => ({
  kind: "out",
  slot: segment === "egg" ? "egg" : segment === "own" ? "own" : "base",
  ids: out,
  segment,
  until: forSeconds(SECONDS.takeOut)
});
var still = (slot, segment, seconds) => ({
  kind: "check",
  slot,
  ids: [],
  segment,
  until: forSeconds(seconds)
});
var tasteMove = () => ({ ...still("taste", "end", SECONDS.taste), kind: "taste" });
var wipeMove = () => ({ ...still("wipe", "base", SECONDS.wipe), kind: "wipe" });
var isYolk = ({ tags }) => tags.has("yolk");
var inMove = (slot, some, segment, until2) => ({
  kind: "in",
  slot,
  ids: ids(some),
  segment,
  until: until2
});
var lidMove = (segment) => ({
  kind: "in",
  slot: "lid",
  ids: [],
  segment,
  handling: "cover"
});
var backMoves = (back, segment) => back.length === 0 ? [] : [
  {
    kind: "back",
    slot: "back",
    ids: [...new Set(back)],
    segment,
    until: { kind: "progress", ids: back, at: 1, leastS: SECONDS.fold, mostS: MOST_S.returns }
  }
];
var eggSet = (egg, share) => ({
  kind: "progress",
  ids: ids(egg),
  at: share === void 0 ? 1 : -Math.log(1 - share) / Math.max(...egg.map(({ goal }) => goal)),
  mostS: MOST_S.egg
});

// core/src/wok/sequence/base.ts
var LIKE = { seconds: 12, share: 0.25 };
var OVERLAP = 0.8;
var QUICK_AT = 0.6;
var MOST_S2 = 240;
var AROMATIC_NEEDS = 1.5;
var FAT_FROM = 0.15;
var isFat = ({ rendersG: rendersG2, massG }) => rendersG2 >= FAT_FROM * massG;
var isAromatic = ({ place }) => place === "quick" || place === "paste";
var idsOf = (some) => some.map(({ id }) => id);
var RANKS = {
  slowFirst: ["slow", "frozen", "quick", "paste", "raw", "crispOrCooked", "ready"],
  roles: ["quick", "paste", "slow", "raw", "frozen", "crispOrCooked", "ready"],
  proteinFirst: ["raw", "readyProtein", "slow", "frozen", "quick", "paste", "crispOrCooked", "ready"]
};
function inBase(parts2, choice, together) {
  const quick = choice.quick === "inBase" ? parts2.quick : [];
  const ready = choice.readyProtein === "base" ? parts2.ready : [];
  const readyVeg = choice.readyVeg === "base" ? parts2.readyVeg : [];
  const crisp = choice.egg === "firstUnder" ? [] : parts2.crisp;
  const soft = choice.egg === "inPassing" ? parts2.soft : [];
  const leads = [
    ...ready.filter(({ target }) => target === "golden"),
    ...together.filter(isFat).sort((a, b) => b.rendersG - a.rendersG)
  ];
  const all = [
    ...parts2.slow,
    ...quick,
    ...parts2.paste,
    ...together.filter((one) => !leads.includes(one)),
    ...crisp,
    ...ready.filter((one) => !leads.includes(one)),
    ...readyVeg,
    ...soft
  ];
  const ordered = withPaste(sorted(all, parts2, choice), parts2.paste, choice);
  return grouped([...leads, ...ordered], parts2);
}
function sorted(all, parts2, { order }) {
  const byNeed = (a, b) => parts2.needS(b) - parts2.needS(a) || compareText(a.id, b.id);
  if (order === "need") return [...all].sort(byNeed);
  const place = (one) => RANKS[order].indexOf(placeIn(order, one));
  return [...all].sort((a, b) => place(a) - place(b) || alliumFirst(a, b) || byNeed(a, b));
}
var alliumFirst = (a, b) => Number(isAllium(b)) - Number(isAllium(a));
var isAllium = ({ food, place }) => food === "allium" && (place === "quick" || place === "slow");
function placeIn(order, one) {
  if (order === "roles" && one.role === "aromatic" && one.place === "slow") return "quick";
  return order === "proteinFirst" && one.place === "ready" ? "readyProtein" : rankOf(one);
}
function rankOf(one) {
  switch (one.place) {
    case "slow":
    case "quick":
    case "paste":
    case "raw":
      return one.place;
    case "crisp":
    case "ready":
      return "crispOrCooked";
    case "readyVeg":
      return one.isFrozen ? "frozen" : "ready";
    default:
      return "ready";
  }
}
function withPaste(ordered, paste, choice) {
  if (paste.length === 0) return ordered;
  const others = ordered.filter((one) => one.place !== "paste");
  const after = (places) => Math.max(-1, ...others.map((one, index) => places.includes(one.place) ? index : -1)) + 1;
  const at3 = choice.paste === "first" ? 0 : after(choice.paste === "afterProtein" ? ["quick", "raw", "ready"] : ["quick"]);
  return [...others.slice(0, at3), ...paste, ...others.slice(at3)];
}
function grouped(ordered, parts2) {
  const groups = [];
  for (const one of ordered) {
    const last = groups.at(-1);
    const need = parts2.needS(one);
    const isLike = last?.every(
      (other) => other.place === one.place && rankOf(other) === rankOf(one) && Math.abs(parts2.needS(other) - need) <= Math.max(LIKE.seconds, LIKE.share * need)
    ) ?? false;
    if (isLike && one.place !== "raw") last.push(one);
    else groups.push([one]);
  }
  return groups;
}
var halfOf = (some) => Object.fromEntries(
  some.filter(({ food, place }) => food === "garlic" && place === "quick").map(({ id }) => [id, 0.5])
);
function baseMoves(base, parts2, choice) {
  const needOf2 = (group) => Math.max(...group.map((one) => parts2.needS(one)));
  const covered = choice.lid === "onBase";
  const moves = base.map((group, index) => {
    const ids2 = group.map(({ id }) => id);
    const isLast = index === base.length - 1;
    const laterS = base.slice(index + 1).reduce((sum, one) => sum + needOf2(one), 0);
    const isQuick = group.every(isAromatic);
    const mostS = isQuick && index > 0 ? AROMATIC_NEEDS * needOf2(group) : MOST_S2;
    const at3 = isQuick ? QUICK_AT : Math.max(0, 1 - OVERLAP * laterS / needOf2(group));
    return {
      kind: "in",
      slot: "base",
      ids: ids2,
      segment: "base",
      until: isLast && covered ? forSeconds(ENTRY_S) : isLast ? baseEnd(base, group, needOf2(group)) : at3 > 0 ? { kind: "progress", ids: ids2, at: at3, mostS } : forSeconds(ENTRY_S),
      ...choice.garlic === "halfAndHalf" && { shares: halfOf(group) }
    };
  });
  const last = base.at(-1);
  if (!covered || !last) return moves;
  return [...moves, { ...lidMove("base"), until: { ...baseEnd(base, last, needOf2(last)), mostS: COVERED_MOST_S } }];
}
var COVERED_MOST_S = 600;
var baseEnd = (base, last, needS2) => ({
  kind: "baseEnd",
  ids: idsOf(base.flat().filter((one) => !isAromatic(one))),
  aromatics: idsOf(last.filter(isAromatic)),
  aromaticS: AROMATIC_NEEDS * needS2,
  mostS: MOST_S2
});

// core/src/wok/sequence/ending.ts
var FIRST_SAUCE = 0.6;
function endMoves(parts2, choice, returns, inBowl2 = []) {
  const dry = parts2.dry.length > 0 ? [inMove("dry", parts2.dry, "end", forSeconds(SECONDS.dry))] : [];
  const white = choice.egg === "coated" && parts2.egg.some(isYolk) ? parts2.egg.filter((one) => !isYolk(one)) : [];
  const well = choice.egg === "well" ? parts2.egg : white;
  const late = [
    ...choice.egg === "firstUnder" ? parts2.crisp : [],
    ...choice.readyProtein === "late" ? parts2.ready : [],
    ...choice.readyVeg === "late" ? parts2.readyVeg : []
  ];
  const back = backMoves(
    [...returns, ...choice.eggReturn === "late" && isOut(choice) && inBowl2.length === 0 ? ids(parts2.egg) : []],
    "last"
  );
  const leaves = parts2.leaf.length > 0 ? [inMove("leaf", parts2.leaf, "end", { kind: "progress", ids: ids(parts2.leaf), at: 1, mostS: MOST_S.leaf })] : [];
  const sauce = sauceMoves(parts2, choice);
  const raw = choice.garlic === "halfAndHalf" ? parts2.quick.filter(({ food }) => food === "garlic") : parts2.garlicAtEnd;
  const finish = [...parts2.finish, ...parts2.sesame, ...raw];
  return [
    ...choice.seasoningOrder === "dryFirst" ? dry : [],
    ...well.length > 0 ? [
      {
        ...inMove("eggWell", well, "end", { ...eggSet(well), mostS: MOST_S.well }),
        handling: "stir",
        isPatch: true
      }
    ] : [],
    ...late.length > 0 ? [inMove("late", late, "end", { kind: "progress", ids: ids(late), at: 1, mostS: MOST_S.late })] : [],
    ...choice.returns === "beforeSauce" ? back : [],
    ...choice.leaf === "beforeSauce" ? leaves : [],
    ...choice.sauce === "offHeat" ? [] : sauce,
    ...choice.leaf === "afterSauce" ? leaves : [],
    ...choice.returns === "afterSauce" ? back : [],
    ...choice.seasoningOrder === "dryLast" ? dry : [],
    ...choice.egg === "sheet" && parts2.egg.length > 0 ? backMoves(ids(parts2.egg), "last") : [],
    ...parts2.volatile.length > 0 ? [inMove("volatile", parts2.volatile, "last", forSeconds(SECONDS.volatile))] : [],
    still("hotCheck", "last", SECONDS.check),
    { ...still("off", "end", SECONDS.off), kind: "off" },
    ...inBowl2.length > 0 ? [bowlMove(inBowl2)] : [],
    ...choice.sauce === "offHeat" ? sauce : [],
    ...finish.length > 0 ? [
      {
        ...inMove("finish", finish, "end", forSeconds(SECONDS.finish)),
        ...choice.garlic === "halfAndHalf" && { shares: halfOf(raw) }
      }
    ] : [],
    ...parts2.garnish.length > 0 || choice.egg === "onTop" && parts2.egg.length > 0 ? [topMove(parts2, choice)] : []
  ];
}
var bowlMove = (waiting) => ({
  kind: "bowl",
  slot: "bowl",
  ids: waiting,
  segment: "end",
  until: forSeconds(SECONDS.bowl)
});
var topMove = (parts2, choice) => ({
  kind: "plate",
  slot: "top",
  ids: ids([...choice.egg === "onTop" ? parts2.egg : [], ...parts2.garnish]),
  segment: "end",
  until: forSeconds(SECONDS.top)
});
function sauceMoves({ sauce }, choice) {
  if (sauce.length === 0) return [];
  const until2 = choice.sauce === "offHeat" ? forSeconds(SECONDS.finish) : { kind: "dry", leastS: SECONDS.sauce, mostS: MOST_S.sauce };
  const pour2 = { ...inMove("sauce", sauce, "end", until2), isOnWall: choice.sauce === "wall" };
  if (choice.sauce !== "partThenRest") return [pour2];
  const shared = (share) => Object.fromEntries(sauce.map(({ id }) => [id, share]));
  return [
    { ...pour2, shares: shared(FIRST_SAUCE), until: { ...until2, leastS: SECONDS.sauce / 2 } },
    tasteMove(),
    { ...pour2, shares: shared(1 - FIRST_SAUCE) }
  ];
}

// core/src/wok/sequence/riceMoves.ts
function riceMoves(parts2, choice) {
  const half = halfTime(parts2, choice);
  const coats = choice.egg === "coated" ? parts2.egg.filter(isYolk) : [];
  const into = coats.length > 0 || choice.egg !== "coated" ? coats : parts2.egg;
  const isPressed = choice.rice === "pressLift";
  const isCovered = choice.lid === "onRice";
  const isTwofold = isPressed || isCovered || half.length > 0;
  const quick = choice.quick === "afterRice" ? parts2.quick : [];
  const done = { kind: "riceDone", ids: ids([...into, ...half]) };
  return [
    ...choice.egg === "coated" || isDryVessel(parts2, choice) ? [oilMove("rice")] : [],
    {
      ...inMove(
        "rice",
        [...parts2.rice, ...into],
        "rice",
        isCovered ? forSeconds(SECONDS.spread) : isTwofold ? { kind: "riceHalf" } : done
      ),
      ...isPressed && { handling: "press" }
    },
    ...isCovered ? [{ ...lidMove("rice"), until: { kind: "riceHalf" } }] : [],
    ...isTwofold ? [inMove(half.length > 0 ? "halfTime" : "turn", half, "rice", done)] : [],
    ...choice.rice === "leaveCrust" ? [{ ...inMove("crust", [], "rice", { kind: "crust", mostS: MOST_S.crust }), handling: "leave" }] : [],
    ...parts2.butter.length > 0 ? [inMove("butter", parts2.butter, "rice", forSeconds(SECONDS.butter))] : [],
    ...quick.length > 0 ? [inMove("afterRice", quick, "rice", { kind: "progress", ids: ids(quick), at: 0.6, mostS: MOST_S.quickLate })] : [],
    ...parts2.soft.length > 0 && choice.egg !== "inPassing" ? [inMove("afterRice", parts2.soft, "rice", { kind: "progress", ids: ids(parts2.soft), at: 1, mostS: MOST_S.soft })] : []
  ];
}
var isDryVessel = (parts2, choice) => choice.egg !== "firstUnder" && inBase(
  parts2,
  choice,
  parts2.raw.filter((one) => !rawAlone(one))
).length === 0;
function halfTime(parts2, choice) {
  return [
    ...choice.readyProtein === "halfTime" ? parts2.ready : [],
    ...choice.readyVeg === "halfTime" ? parts2.readyVeg : []
  ];
}

// core/src/book/stages.ts
var STAGED_ROLES = [
  "aromatic",
  "paste",
  "vegetable",
  "drySeasoning",
  "liquidSeasoning",
  "finish"
];
var LEAST = 5e-3;
function restOf(stages) {
  const sum = stages.reduce((total, { share }) => total + share, 0);
  const isTwice = new Set(stages.map(({ at: at3 }) => at3)).size < stages.length;
  if (isTwice || stages.some(({ share }) => !(share >= LEAST)) || sum > 1 + LEAST) return null;
  return sum > 1 - LEAST ? 0 : 1 - sum;
}

// core/src/wok/sequence/inStages.ts
function stagedInputs(one) {
  const { stages } = one;
  if (stages === void 0 || stages.length === 0 || !STAGED_ROLES.includes(one.role)) return [one];
  const rest = restOf(stages);
  if (rest === null) throw new RangeError(`the shares of ${one.id} are no parts of one whole`);
  const sum = rest + stages.reduce((total, { share }) => total + share, 0);
  const own = rest > 0 ? [{ ...one, ratioG: one.ratioG * rest }] : [];
  const shares = stages.map(({ at: at3, share }, nth) => {
    const id = rest === 0 && nth === 0 ? one.id : `${one.id}@${at3}`;
    return { ...one, id, ratioG: one.ratioG * share / sum, target: { kind: "none" }, of: one.id, stage: at3 };
  });
  return [...own, ...shares];
}
var withShares = (moves, parts2) => parts2.shares.reduce((some, one) => withShare(some, one, parts2), [...moves]);
function withShare(moves, one, parts2) {
  const at3 = hostOf(moves, one, parts2);
  const host = moves[at3];
  if (!host) return [...moves];
  const leaves = ({ kind, ids: ids2 }) => (kind === "out" || kind === "aside" || kind === "back") && ids2.some((id) => host.ids.includes(id));
  return moves.map(
    (move, index) => index === at3 || !isStrewn(one) && index > at3 && leaves(move) ? { ...move, ids: [...move.ids, one.id] } : move
  );
}
var isStrewn = ({ place }) => place === "dry" || place === "volatile";
function hostOf(moves, { stage }, { egg, raw, ready }) {
  const firstIn = (test2) => moves.findIndex((move) => move.kind === "in" && test2(move));
  const holds = (some) => (move) => some.some(({ id }) => move.ids.includes(id));
  const test = {
    egg: holds(egg),
    protein: holds([...raw, ...ready]),
    base: ({ slot }) => slot === "base",
    rice: ({ slot }) => slot === "rice",
    end: ({ slot }) => slot === "dry" || slot === "sauce" || slot === "leaf",
    finish: ({ slot }) => slot === "finish"
  };
  const at3 = stage === null ? -1 : firstIn(test[stage]);
  return at3 >= 0 ? at3 : firstIn(test.rice);
}

// core/src/wok/sequence/grammar.ts
var SET_TO = {
  firstUnder: 0.6,
  sheet: 0.95,
  threads: 0.95
};
var BROKEN_TO = {
  curds: 0.7,
  peaSize: void 0,
  crumbled: 0.98
};
var movesOf = (parts2, choice) => oiled(withShares(ownPlaces(parts2, choice), parts2), parts2, choice);
function oiled(moves, { fat }, { oil }) {
  const first = moves.findIndex(({ kind }) => kind === "oil");
  const pours = (at3) => fat.length > 0 && (oil !== "lean" || at3 === first);
  return moves.filter(({ kind }, at3) => kind !== "oil" || pours(at3));
}
function ownPlaces(parts2, choice) {
  const givesFat = parts2.fat.length === 0 ? renderers(parts2.raw) : [];
  const alone = parts2.raw.filter((one) => choice.rawProtein === "ownOut" || rawAlone(one));
  const own = [...givesFat, ...alone.filter((one) => !givesFat.includes(one))];
  const together = parts2.raw.filter((one) => !own.includes(one));
  const base = inBase(parts2, choice, together);
  const isEmptied = base.length > 0 && leavesBase(choice, together);
  const eggFirst = choice.ownStages === "eggFirst" && givesFat.length === 0;
  const first = [
    ...eggFirst ? eggOut(parts2, choice) : [],
    ...own.flatMap((one) => ownMoves(one, choice)),
    ...eggFirst ? [] : eggOut(parts2, choice)
  ];
  const isLapped = parts2.laps.length > 0;
  const aside = ids([...own, ...isEmptied ? base.flat() : []]);
  const [early, late] = choice.egg === "inPassing" && parts2.egg.length > 0 ? aroundEgg(base) : [base, []];
  const wipe = choice.wipe === "betweenStages" && first.at(-1)?.kind === "out";
  return [
    ...first,
    ...wipe ? [wipeMove()] : [],
    ...early.length > 0 ? [oilMove("base")] : [],
    ...baseMoves(early, parts2, choice),
    ...together.map(({ id }) => ({ ...still("check", "base", SECONDS.check), ids: [id] })),
    ...isEmptied ? [outMove(ids(base.flat()), "base")] : [],
    ...eggBeforeRice(parts2, choice, early.length === 0),
    ...baseMoves(late, parts2, choice),
    ...choice.eggReturn === "beforeRice" && isOut(choice) && !isLapped ? backMoves(ids(parts2.egg), "rice") : [],
    ...parts2.laps.flatMap((lap) => lapMoves(lap, parts2, choice)),
    ...isLapped ? [oilMove("rice")] : [],
    ...riceMoves(parts2, choice),
    ...isLapped ? endMoves(
      parts2,
      choice,
      [],
      [...parts2.laps.flatMap((lap) => ids(lap.rice)), ...aside, ...isOut(choice) ? ids(parts2.egg) : []]
    ) : endMoves(parts2, choice, aside)
  ];
}
var EARLY = ["quick", "paste", "raw", "slow"];
function aroundEgg(base) {
  const isEarly = (group) => group.every(({ place, role }) => EARLY.includes(place) || role === "aromatic");
  return [base.filter(isEarly), base.filter((group) => !isEarly(group))];
}
function lapMoves(lap, parts2, choice) {
  const seasonings = [...lap.dry, ...lap.volatile];
  return [
    oilMove("rice"),
    inMove("rice", lap.rice, "rice", { kind: "riceDone", ids: [] }),
    ...seasonings.length > 0 ? [inMove("dry", seasonings, "end", forSeconds(SECONDS.dry))] : [],
    ...sauceMoves(
      { ...parts2, sauce: lap.sauce },
      { ...choice, sauce: choice.sauce === "offHeat" ? "lastPour" : choice.sauce }
    ),
    still("hotCheck", "end", SECONDS.check),
    { ...outMove(ids(lap.rice), "rice"), slot: "lap" }
  ];
}
var leavesBase = (choice, together) => choice.rawProtein === "withBaseOut" && together.length > 0 || choice.egg === "firstUnder" || choice.egg === "coated" || choice.batches === "tossedInBowl";
function eggOut(parts2, choice) {
  const isSheet = choice.egg === "sheet";
  if (parts2.egg.length === 0 || !(isOut(choice) || isSheet)) return [];
  const out = outMove(ids(parts2.egg), "egg");
  return [
    oilMove("egg"),
    {
      kind: "in",
      slot: "egg",
      ids: ids(parts2.egg),
      segment: "egg",
      until: eggSet(parts2.egg, SET_TO[choice.egg] ?? BROKEN_TO[choice.eggBreak]),
      handling: isSheet ? "leave" : "stir"
    },
    choice.egg === "inPassingAside" ? { ...out, kind: "aside", until: forSeconds(SECONDS.fold) } : out
  ];
}
function ownMoves(one, choice) {
  return [
    oilMove("own"),
    {
      kind: "in",
      slot: "own",
      ids: [one.id],
      segment: "own",
      until: { kind: "progress", ids: [one.id], at: 1, mostS: MOST_S.own }
    },
    outMove([one.id], "own"),
    ...choice.wipe === "betweenStages" && one.state === "marinated" ? [wipeMove()] : []
  ];
}
function eggBeforeRice({ egg }, choice, isEmpty) {
  if (egg.length === 0) return [];
  if (choice.egg === "inPassing" || choice.egg === "wellBeforeRice")
    return [
      ...isEmpty ? [oilMove("base")] : [],
      {
        kind: "in",
        slot: "eggPassing",
        ids: ids(egg),
        segment: "base",
        until: { ...eggSet(egg), mostS: MOST_S.well },
        handling: "stir",
        isPatch: true
      }
    ];
  if (choice.egg !== "firstUnder") return [];
  return [
    oilMove("egg"),
    {
      kind: "in",
      slot: "eggUnder",
      ids: ids(egg),
      segment: "egg",
      until: eggSet(egg, SET_TO.firstUnder),
      handling: "leave"
    }
  ];
}

// core/src/physics/water.ts
var { exp: exp2, pow, sqrt: sqrt2 } = Math;
var ATMOSPHERE_PA = 101325;
var VAPOUR_GAS_J_PER_KG_K = 461.52;
var ZERO_C_K = 273.15;
var CRITICAL_K = 647.096;
var CRITICAL_PA = 22064e3;
function saturationPressurePa(tempC) {
  const tempK = tempC + ZERO_C_K;
  return CRITICAL_PA * exp2(logReducedPressure(tempK));
}
function logReducedPressure(tempK) {
  const tau = 1 - tempK / CRITICAL_K;
  const root = sqrt2(tau);
  const tau3 = tau * tau * tau;
  const tau35 = tau3 * root;
  const sum = -7.85951783 * tau + 1.84408259 * tau * root - 11.7866497 * tau3 + 22.6807411 * tau35 - 15.9618719 * tau3 * tau + 1.80122502 * tau35 * tau * tau * tau * tau;
  return CRITICAL_K / tempK * sum;
}
function latentHeatJPerKg(tempC) {
  return 2500900 - 2300 * tempC - 1.44 * tempC * tempC;
}

// core/src/wok/heat/airLoss.ts
var { log: log2, max: max5, min: min4 } = Math;
var TABLE_FROM_C = -40;
var TABLE_TO_C = 130;
var PER_K = 4;
var PRESSURE = Float64Array.from(
  { length: (TABLE_TO_C - TABLE_FROM_C) * PER_K + 2 },
  (_, i) => saturationPressurePa(TABLE_FROM_C + i / PER_K)
);
function pressurePa(tempC) {
  const place = (min4(max5(tempC, TABLE_FROM_C), TABLE_TO_C) - TABLE_FROM_C) * PER_K;
  const index = place | 0;
  const below = PRESSURE[index];
  return below + (PRESSURE[index + 1] - below) * (place - index);
}
var surface = new Float64Array(1);
function airLoss(tempC, activity, foodSide, airWPerM2K) {
  const saturated = pressurePa(tempC);
  const vapourPa = min4(activity * saturated, 0.97 * ATMOSPHERE_PA);
  const kelvin = tempC + ZERO_C_K;
  const latent = latentHeatJPerKg(tempC);
  const massM2 = airWPerM2K / LEWIS_J_PER_M3K * ATMOSPHERE_PA / (VAPOUR_GAS_J_PER_KG_K * kelvin);
  const vapour = max5(0, massM2 * log2((ATMOSPHERE_PA - AIR_VAPOUR_PA) / (ATMOSPHERE_PA - vapourPa)));
  const slope = massM2 * vapourPa * latent / (VAPOUR_GAS_J_PER_KG_K * kelvin * kelvin) / (ATMOSPHERE_PA - vapourPa);
  const falls = (vapour * latent + airWPerM2K * (tempC - AIR_C)) / (foodSide + airWPerM2K + latent * slope);
  const surfaceC = max5(tempC - falls, min4(tempC, AIR_C));
  surface[0] = surfaceC;
  return max5(0, vapour - slope * (tempC - surfaceC));
}

// core/src/wok/heat/rates.ts
var { max: max6, min: min5 } = Math;
var SWOLLEN = 2.5;
var GIVES_UP = { fromC: 50, fullC: 95 };
var DRY_TAPER_SHARE = 0.05;
var tempOf = new Float64Array(MOST_FOODS);
var wetOf = new Float64Array(MOST_FOODS);
function rates(pan, y, dy) {
  const { vessel, fixed, parts: parts2, faces } = pan;
  const count = pan.portions.length;
  const aC = y[METAL_A] / vessel.capacityAJPerK;
  const bC = y[METAL_B] / vessel.capacityBJPerK;
  const inW = burnerW(pan, aC);
  const acrossW = vessel.conductanceWPerK * (aC - bC);
  const outAW = fixed[V_BARE_A] * bareMetalWPerM2(aC, vessel.emissivity);
  const outBW = fixed[V_BARE_B] * bareMetalWPerM2(bC, vessel.emissivity);
  let metalA = vessel.shareA * inW - acrossW - outAW;
  let metalB = (1 - vessel.shareA) * inW + acrossW - outBW;
  let out = outAW + outBW;
  let waterOut = 0;
  let steamKgPerS = 0;
  let freeKg = 0;
  let freeHeat = 0;
  let mixesWPerK = 0;
  let mixesW = 0;
  for (let i = 0; i < count; i += 1) {
    const at3 = COMMON + i * PER_FOOD;
    const free = y[at3 + FREE];
    const water = free + y[at3 + BOUND];
    const tempC = y[at3 + HEAT] / (parts2[i * PER_PART + P_DRY_J_PER_K] + water * WATER_J_PER_KGK);
    const fraction = free / (parts2[i * PER_PART + P_DRY_KG] + water);
    tempOf[i] = tempC;
    wetOf[i] = fraction <= 0 ? 0 : fraction / (fraction + HALF_WET_FRACTION);
    freeKg += free;
    freeHeat += free * tempC;
    mixesWPerK += parts2[i * PER_PART + P_MIXES];
    mixesW += parts2[i * PER_PART + P_MIXES] * tempC;
  }
  const freeC = freeKg > 0 ? freeHeat / freeKg : 0;
  const amongC = mixesWPerK > 0 ? mixesW / mixesWPerK : 0;
  for (let i = 0; i < count; i += 1) {
    const at3 = COMMON + i * PER_FOOD;
    const part3 = i * PER_PART;
    const tempC = tempOf[i];
    const wet = wetOf[i];
    const free = y[at3 + FREE];
    const bound = y[at3 + BOUND];
    const foodSide = parts2[part3 + P_FOOD_SIDE];
    const boundKg = parts2[part3 + P_BOUND_KG];
    const inner = boundKg > 0 ? parts2[part3 + P_INNER] * max6(0, bound) / boundKg : 0;
    const mass = parts2[part3 + P_DRY_KG] + free + bound;
    const outer = parts2[part3 + P_SUPPLY] * max6(0, free) / mass;
    const supply = outer + inner;
    const floats = parts2[part3 + P_FLOATS];
    const away = parts2[part3 + P_AWAY_KG];
    const left = away > 0 ? max6(0, free + bound) / (max6(0, free + bound) + away) : 1;
    let heat = parts2[part3 + P_MIXES] * (amongC - tempC);
    let steam = 0;
    const areaA = left * parts2[part3 + P_AREA_A];
    if (areaA > 0) {
      touch(aC, tempC, metalSideWPerM2K(fixed, wet, floats, aC), foodSide, supply);
      heat += areaA * contact[0];
      steam += areaA * contact[1];
      metalA -= areaA * contact[0];
      faces[i] = contact[2];
    }
    const areaB = left * parts2[part3 + P_AREA_B];
    if (areaB > 0) {
      touch(bC, tempC, metalSideWPerM2K(fixed, wet, floats, bC), foodSide, supply);
      heat += areaB * contact[0];
      steam += areaB * contact[1];
      metalB -= areaB * contact[0];
    }
    const steamHeat2 = steam * (BOIL_J_PER_KG + WATER_J_PER_KGK * BOIL_C);
    heat -= steamHeat2;
    const fromFree = supply > 0 ? steam * outer / supply : 0;
    let dFree = -fromFree;
    let dBound = fromFree - steam;
    steamKgPerS += steam;
    const area = left * parts2[part3 + P_SURFACE];
    if (area > 0) {
      const activity = parts2[part3 + P_DRY_ACTIVITY] + (1 - parts2[part3 + P_DRY_ACTIVITY]) * wet;
      const air = airLoss(tempC, activity, foodSide, fixed[V_AIR]);
      const surfaceC = surface[0];
      const boundShare = boundKg > 0 ? (1 - wet) * min5(1, max6(0, bound) / boundKg) : 0;
      const vapour = area * air * (wet + boundShare);
      const lost = area * fixed[V_AIR] * (surfaceC - AIR_C) + vapour * (latentHeatJPerKg(surfaceC) + WATER_J_PER_KGK * tempC);
      heat -= lost;
      out += lost;
      waterOut += vapour;
      dFree -= area * air * wet;
      dBound -= area * air * boundShare;
    }
    const water = max6(0, free) + max6(0, bound);
    if (tempC > BOIL_C && water > 0) {
      const has = water / (water + DRY_TAPER_SHARE * boundKg);
      const boils = has * fixed[V_BOIL_PER_S] * (y[at3 + HEAT] / tempC) * (tempC - BOIL_C) / BOIL_J_PER_KG;
      const carried = boils * (BOIL_J_PER_KG + WATER_J_PER_KGK * tempC);
      heat -= carried;
      out += carried;
      waterOut += boils;
      dFree -= boils * max6(0, free) / water;
      dBound -= boils * max6(0, bound) / water;
    }
    const givesUp = parts2[part3 + P_GIVES_UP_PER_S] * min5(1, max6(0, (tempC - GIVES_UP.fromC) / (GIVES_UP.fullC - GIVES_UP.fromC))) * max6(0, bound - parts2[part3 + P_KEEPS_KG]);
    const takesUpPerS = parts2[part3 + P_TAKES_UP_PER_S];
    const takesUp = takesUpPerS > 0 ? takesUpPerS * max6(0, free) * min5(1, max6(0, 1 - bound / (SWOLLEN * parts2[part3 + P_DRY_KG]))) : 0;
    const spreads = freeKg > 0 ? SPREAD_PER_S : 0;
    const arrives = spreads * parts2[part3 + P_SHARE] * freeKg;
    const leaves = spreads * free;
    heat += (arrives * freeC - leaves * tempC) * WATER_J_PER_KGK;
    dFree += givesUp - takesUp + arrives - leaves;
    dBound += takesUp - givesUp;
    const ice = max6(0, y[at3 + ICE]);
    const melts = tempC > 0 && ice > 0 ? MELT_PER_S * y[at3 + HEAT] * ice / (ice + parts2[part3 + P_ICE_TAPER]) : 0;
    heat -= melts;
    dy[at3 + HEAT] = heat;
    dy[at3 + FREE] = dFree;
    dy[at3 + BOUND] = dBound;
    dy[at3 + ICE] = -melts;
  }
  let caughtKg = 0;
  const steamHeat = BOIL_J_PER_KG + WATER_J_PER_KGK * BOIL_C;
  for (let i = 0; i < count; i += 1) {
    const at3 = COMMON + i * PER_FOOD;
    const part3 = i * PER_PART;
    const caught = steamKgPerS * parts2[part3 + P_SHARE] * catchShare(parts2, part3, tempOf[i]);
    caughtKg += caught;
    dy[at3 + HEAT] += caught * steamHeat;
    dy[at3 + FREE] += caught;
  }
  waterOut += steamKgPerS - caughtKg;
  out += (steamKgPerS - caughtKg) * steamHeat;
  const film = y[FILM];
  if (film > 0) {
    const boils = sauceSteamKgPerS(pan, film, aC);
    const drains = count > 0 ? film / SAUCE_FILM.drainS : 0;
    const filmC = fixed[V_FILM_C];
    const taken = boils * (BOIL_J_PER_KG + WATER_J_PER_KGK * (BOIL_C - filmC));
    metalA -= taken;
    out += taken + boils * WATER_J_PER_KGK * filmC;
    waterOut += boils;
    dy[FILM] = -boils - drains;
    for (let i = 0; i < count; i += 1) {
      const at3 = COMMON + i * PER_FOOD;
      const share = drains * parts2[i * PER_PART + P_SHARE];
      dy[at3 + FREE] += share;
      dy[at3 + HEAT] += share * WATER_J_PER_KGK * filmC;
    }
  } else dy[FILM] = 0;
  dy[METAL_A] = metalA;
  dy[METAL_B] = metalB;
  dy[HEAT_IN] = inW;
  dy[HEAT_OUT] = out;
  dy[WATER_OUT] = waterOut;
}
function burnerW({ vessel, fixed }, metalTempC) {
  const flame = vessel.hasFlame ? (FLAME_C - metalTempC) / (FLAME_C - BOIL_C) : 1;
  const open = min5(1, max6(0, (fixed[V_HOLD_C] - metalTempC) / CEILING_BAND_K));
  return fixed[V_LEVEL] * vessel.netW * max6(0, flame) * open;
}
function sauceSteamKgPerS({ fixed }, filmKg, metalTempC) {
  if (metalTempC <= BOIL_C) return 0;
  const areaM2 = min5(fixed[V_FILM_MOST_M2], filmKg / SAUCE_FILM.kgPerM2);
  const latent = BOIL_J_PER_KG + WATER_J_PER_KGK * (BOIL_C - fixed[V_FILM_C]);
  return SAUCE_FILM.wPerM2K * floatingShare(metalTempC) * (metalTempC - BOIL_C) * areaM2 / latent;
}

// core/src/wok/heat/advance.ts
var { ceil, max: max7, min: min6 } = Math;
var SIZE = COMMON + MOST_FOODS * PER_FOOD;
var k1 = new Float64Array(SIZE);
var k2 = new Float64Array(SIZE);
var k3 = new Float64Array(SIZE);
var k4 = new Float64Array(SIZE);
var at2 = new Float64Array(SIZE);
var STABLE = 1.6;
var SHORTEST_S = 0.01;
function advance(pan, toS, stepS, method, afterStep) {
  const spanS = toS - pan.atS;
  if (!(spanS > 0)) return;
  const bearsS = max7(SHORTEST_S, STABLE / pan.fixed[V_FASTEST_PER_S]);
  const steps = ceil(spanS / min6(stepS, bearsS) - 1e-9);
  const fromS = pan.atS;
  const hS = spanS / steps;
  pan.fixed[V_BOIL_PER_S] = min6(BULK_BOIL_PER_S, 1 / hS);
  for (let n = 1; n <= steps; n += 1) {
    if (method === "rk4") rk4(pan, hS);
    else heun(pan, hS);
    pan.atS = n === steps ? toS : fromS + n * hS;
    afterStep?.(pan, hS);
  }
}
function rk4(pan, hS) {
  const { y } = pan;
  const size = COMMON + pan.portions.length * PER_FOOD;
  rates(pan, y, k1);
  for (let i = 0; i < size; i += 1) at2[i] = y[i] + hS / 2 * k1[i];
  rates(pan, at2, k2);
  for (let i = 0; i < size; i += 1) at2[i] = y[i] + hS / 2 * k2[i];
  rates(pan, at2, k3);
  for (let i = 0; i < size; i += 1) at2[i] = y[i] + hS * k3[i];
  rates(pan, at2, k4);
  for (let i = 0; i < size; i += 1) y[i] += hS / 6 * (k1[i] + 2 * (k2[i] + k3[i]) + k4[i]);
}
function heun(pan, hS) {
  const { y } = pan;
  const size = COMMON + pan.portions.length * PER_FOOD;
  rates(pan, y, k1);
  for (let i = 0; i < size; i += 1) at2[i] = y[i] + hS * k1[i];
  rates(pan, at2, k2);
  for (let i = 0; i < size; i += 1) y[i] += hS / 2 * (k1[i] + k2[i]);
}

// core/src/wok/heat/preheat.ts
var MOST_S3 = 1800;
var heatedBefore = /* @__PURE__ */ new WeakMap();
function preheatOf(vessel, toC) {
  const known = heatedBefore.get(vessel) ?? /* @__PURE__ */ new Map();
  heatedBefore.set(vessel, known);
  const heated2 = known.get(toC) ?? preheat(vessel, toC);
  known.set(toC, heated2);
  return heated2;
}
function preheat(vessel, toC) {
  const pan = emptyPan(vessel, AIR_C, AIR_C, 0, "leave");
  if (toC <= AIR_C) return { seconds: 0, metalC: toC, rimC: toC };
  let wasC = AIR_C;
  let wasRimC = AIR_C;
  for (let seconds = 0; seconds < MOST_S3; seconds += 1) {
    advance(pan, seconds + 1, 1, "rk4");
    const nowC = metalC(pan);
    if (nowC >= toC) {
      const share = (toC - wasC) / (nowC - wasC);
      return { seconds: seconds + share, metalC: toC, rimC: wasRimC + share * (rimC(pan) - wasRimC) };
    }
    if (nowC - wasC < 1e-4 && rimC(pan) - wasRimC < 1e-4) break;
    wasC = nowC;
    wasRimC = rimC(pan);
  }
  return { seconds: null, metalC: wasC, rimC: wasRimC };
}

// core/src/wok/heat/largestBatch.ts
var MOST_HEATING_S = 180;
var OIL_G_PER_KG = 25;
var START_C = 230;
var LEAST_G = 20;
var WITHIN_G = 1;
function largestBatchFast(question) {
  return search(question, { method: "heun", stepS: 4, endsAtDip: true });
}
var warmed = (vessel) => preheat(vessel, Math.min(START_C, vessel.holdC - 1));
function search(question, by) {
  const vessel = vesselOf(question.station);
  const warm = warmed(vessel);
  const breaks = (massG) => limitBroken(vessel, warm, question, massG, by);
  const volumeG = vessel.workableM3 * FOOD_THERMAL.rice.bulkKgPerM3 * 1e3;
  if (breaks(LEAST_G) !== null) return null;
  if (breaks(volumeG) === null) return { massG: volumeG, limit: "volume" };
  let goodG = LEAST_G;
  let badG = volumeG;
  let limit = "time";
  while (badG - goodG > WITHIN_G) {
    const midG = (goodG + badG) / 2;
    const broken = breaks(midG);
    if (broken === null) goodG = midG;
    else {
      badG = midG;
      limit = broken;
    }
  }
  return { massG: goodG, limit };
}
function limitBroken(...asked) {
  const { dip, time } = limitsBroken(...asked);
  if (dip) return "dip";
  return time ? "time" : null;
}
function limitsBroken(vessel, warm, { station, riceTempC, handling, riceWaterFraction }, massG, { method, stepS, endsAtDip }) {
  const moved = handlingOfLoad(handling, station, massG);
  const pan = emptyPan(vessel, warm.metalC, warm.rimC, OIL_G_PER_KG * massG / 1e3, moved);
  putIn(pan, { food: "rice", massG, tempC: riceTempC, waterFraction: riceWaterFraction });
  const leastC = Math.min(LEAST_METAL_C, warm.metalC);
  let dip = false;
  for (let atS = 0; atS < MOST_HEATING_S && (heapC(pan) ?? 0) < HOT_C; atS += stepS) {
    advance(pan, Math.min(MOST_HEATING_S, atS + stepS), stepS, method);
    dip ||= metalC(pan) < leastC;
    if (dip && endsAtDip) break;
  }
  return { dip, time: (heapC(pan) ?? 0) < HOT_C };
}

// core/src/wok/sequence/laps.ts
var MOST_LAPS = 8;
var RICE_SHARE = 0.9;
function lapsOf(riceG, { station, riceTempC, handling }) {
  const fries = largestBatchFast({ station, riceTempC, handling })?.massG ?? 0;
  const fits = sameVesselOf(station).workableM3 * FOOD_THERMAL.rice.bulkKgPerM3 * 1e3;
  const mostG = RICE_SHARE * Math.min(fits, fries > 0 ? fries : fits);
  return Math.min(MOST_LAPS, Math.max(1, Math.ceil(riceG / mostG)));
}
var IN_EVERY_LAP = ["rice", "drySeasoning", "liquidSeasoning"];
function lappedInputs(one, laps) {
  if (laps === 1 || one.stage !== void 0 || !IN_EVERY_LAP.includes(one.role)) return [one];
  return Array.from({ length: laps }, (_, nth) => ({
    ...one,
    id: nth === 0 ? one.id : `${one.id}#${nth + 1}`,
    of: one.of ?? one.id,
    ratioG: one.ratioG / laps,
    lap: nth + 1
  }));
}
function loadsOf(components) {
  const laps = [...new Set(components.map(({ lap }) => lap))];
  return laps.map((lap) => components.filter((one) => one.lap === lap));
}
var heaviestG = (components) => Math.max(0, ...loadsOf(components).map((some) => some.reduce((sum, { massG }) => sum + massG, 0)));

// core/src/wok/sequence/progress.ts
var { max: max8, min: min7 } = Math;
var SHORT_OF_KILL = 0.99;
var progressOf = (one, at3) => progressBy(one, at3.coreC, at3.softness, at3.browning, at3.logKill);
function progressBy(one, coreC, softness, browning, logKill) {
  if (one.place === "raw") {
    const byCore = part(one.tempC, coreC, one.coreC ?? READY_C.aimed);
    const cooked = logKill >= (one.logKill ?? 0) ? byCore : min7(SHORT_OF_KILL, byCore);
    return one.target === "golden" ? min7(cooked, browning / one.goal) : cooked;
  }
  switch (one.target) {
    case "fragrant":
      return one.food === "allium" ? softness / one.goal : browning / one.goal;
    case "bloomed":
      return browning / one.goal;
    case "golden":
      return one.place === "ready" ? min7(browning / one.goal, heated(one, coreC)) : browning / one.goal;
    case "softened":
    case "tenderCrisp":
    case "wilted":
      return FOOD_THERMAL[one.food].softens ? softness / one.goal : heated(one, coreC);
    case "set":
      return softness / one.goal;
    case "heatedThrough":
    case "cookedThrough":
      return heated(one, coreC);
    case "dryGrained":
    case "crusted":
    case "none":
      return 1;
  }
}
var burnOf = (one, at3) => at3.browning / one.burnAt;
var part = (fromC, nowC, toC) => nowC >= toC ? 1 : (nowC - fromC) / max8(1, toC - fromC);
var heated = (one, coreC) => part(one.tempC, coreC, READY_C.aimed);

// core/src/wok/sequence/run.ts
var RICE = { fryingS: 20, freeFraction: 6e-3, mostS: 240, halfOf: 0.5, crustBrowning: 1.1 };
var NOT_NOTED = { progress: /* @__PURE__ */ new Map(), burn: /* @__PURE__ */ new Map(), burnPerS: /* @__PURE__ */ new Map() };
var CORE_TOLERANCE_K = 0.05;
var isProven = ({ peakC, logKill }, limit) => peakC >= (limit.coreC ?? 0) - CORE_TOLERANCE_K && logKill >= (limit.logKill ?? 0);
var unprovenIn = (cooking, { kind, slot, ids: ids2 }) => kind !== "check" || slot !== "check" ? [] : cooking.inside.flatMap(({ one, peakC }, index) => {
  if (one.place !== "raw" || !ids2.includes(one.id)) return [];
  const at3 = cooking.doneness(index);
  return isProven({ peakC: Math.max(peakC, at3.coreC), logKill: at3.logKill }, one) ? [] : [one.id];
});
function noteOf(cooking, move, seen) {
  const ended = { move, ...seen, endS: cooking.pan.atS, endC: metalC(cooking.pan), unproven: unprovenIn(cooking, move) };
  if (!cooking.isFine) return { ...ended, ...NOT_NOTED };
  const progress = /* @__PURE__ */ new Map();
  const burn = /* @__PURE__ */ new Map();
  const burnPerS = /* @__PURE__ */ new Map();
  cooking.inside.forEach(({ one }, index) => {
    const at3 = cooking.doneness(index);
    progress.set(one.id, progressOf(one, at3));
    burn.set(one.id, burnOf(one, at3));
    burnPerS.set(one.id, cooking.browningPerS(index) / one.burnAt);
  });
  return { ...ended, progress, burn, burnPerS };
}
function endedOf(cooking) {
  const ended = ({ one, overS, peakC }, at3) => ({
    one,
    progress: progressOf(one, at3),
    burn: burnOf(one, at3),
    coreC: at3.coreC,
    peakC,
    logKill: at3.logKill,
    overS,
    softness: at3.softness
  });
  return [
    ...cooking.inside.map((it, index) => ended(it, cooking.doneness(index))),
    ...[...cooking.bowls.values()].map(({ was, doneness }) => ended(was, doneness))
  ];
}

// core/src/wok/score.ts
var TOO_MUCH_CODES = ["tooFull", "steams"];

// core/src/wok/sequence/judge.ts
var isTooMuch = (code) => TOO_MUCH_CODES.includes(code);
var COATED_MOST_FREE = 0.012;
function faultsBefore(components, dish, vessel) {
  const split = new Set(dish.splitAllergens ?? []);
  const fried = components.filter(
    ({ place, allergens }) => MUST_FRY.includes(place) && allergens.some((one) => split.has(one))
  );
  const rice = components.filter(({ place }) => place === "rice");
  return [
    ...fillM3(components) > vessel.workableM3 ? [faultOf("tooFull", rice)] : [],
    ...fried.length > 0 ? [faultOf("splitAllergen", fried)] : []
  ];
}
var faultOf = (code, some) => ({
  code,
  componentIds: [...new Set(some.map(({ of: of2 }) => of2))]
});
function faultsOf(run, components, dish) {
  const faults = [];
  const fault = (code, some) => {
    if (some.length > 0) faults.push(faultOf(code, some));
  };
  const ended = new Map(run.ended.map((end) => [end.one.id, end]));
  const reaches = ({ id }, coreC, logKill) => {
    const end = ended.get(id);
    return end !== void 0 && isProven(end, { coreC, logKill });
  };
  const cold = (place, coreC) => components.filter((one) => one.place === place && !reaches(one, coreC(one), one.logKill));
  if (run.preheatS === null) faults.push({ code: "neverHot", componentIds: [] });
  const unproven = new Set(run.moves.flatMap((done) => done.unproven));
  const raw = cold("raw", ({ coreC }) => coreC);
  fault("rawCold", [...raw, ...components.filter((one) => unproven.has(one.id) && !raw.includes(one))]);
  if (run.choice.egg !== "onTop")
    fault(
      "eggRaw",
      cold("egg", () => null)
    );
  fault(
    "riceCold",
    cold("rice", ({ coreC }) => coreC)
  );
  const offAt = run.moves.findIndex(({ move }) => move.kind === "off");
  const beforeOff = new Set(run.moves.slice(0, offAt).flatMap(({ move }) => move.kind === "in" ? move.ids : []));
  fault(
    "readyCold",
    cold("ready", () => READY_C.checked).filter(({ id }) => beforeOff.has(id))
  );
  fault(
    "burnt",
    run.ended.filter(({ burn }) => burn >= 1).map(({ one }) => one)
  );
  const rice = components.filter(({ place }) => place === "rice");
  if (run.choice.egg === "coated" && run.rice.freeFraction > COATED_MOST_FREE) fault("coatedWet", rice);
  if (run.rice.doneS === null) fault("steams", rice);
  const split = new Set(dish.splitAllergens ?? []);
  fault(
    "splitAllergen",
    components.filter(({ id, allergens }) => beforeOff.has(id) && allergens.some((one) => split.has(one)))
  );
  fault(
    "tenderOnFlame",
    components.filter(({ id, tags }) => tags.has("tender") && beforeOff.has(id))
  );
  const placed = new Set(run.moves.flatMap(({ move }) => move.kind === "in" || move.kind === "plate" ? move.ids : []));
  const isOiled = run.moves.some(({ move }) => move.kind === "oil");
  fault(
    "missing",
    components.filter(({ id, place }) => place === "fat" ? !isOiled : !placed.has(id))
  );
  return faults;
}
var LEAF_FILLS = 0.5;
var STAYS_OUT = ["finish", "garnish", "sesame", "fat", "dry", "volatile"];
var fillM3 = (components) => Math.max(0, ...loadsOf(components).map(loadM3));
var loadM3 = (load) => load.filter(({ place }) => !STAYS_OUT.includes(place)).reduce((sum, one) => sum + portionFor(one).volumeM3 * (one.place === "leaf" ? LEAF_FILLS : 1), 0);

// core/src/wok/sequence/pins.ts
var FINISH_S = 10;
var entryOf = (moves, id) => moves.findIndex(({ kind, ids: ids2 }) => (kind === "in" || kind === "plate") && ids2.includes(id));
var isTimed = (pin) => "forS" in pin;
var indexOfSlot = (moves, test) => moves.findIndex(test);
function keepsPin(moves, pin) {
  const at3 = entryOf(moves, pin.component);
  if (at3 < 0) return false;
  if ("before" in pin) return at3 < entryOf(moves, pin.before);
  if ("after" in pin) return at3 > entryOf(moves, pin.after);
  if ("leaves" in pin) {
    const leaves = moves.some(({ kind, ids: ids2 }) => (kind === "out" || kind === "aside") && ids2.includes(pin.component));
    return leaves === pin.leaves;
  }
  if ("forS" in pin) {
    const { until: until2 } = moves[at3];
    return until2.kind === "held" && until2.seconds === pin.forS;
  }
  const rice = indexOfSlot(moves, ({ slot }) => slot === "rice");
  const off = indexOfSlot(moves, ({ kind }) => kind === "off");
  switch (pin.slot) {
    case "beforeRice":
      return at3 < rice;
    case "afterRice":
      return at3 > rice && at3 < off;
    case "afterOff":
      return at3 > off;
  }
}
function withPin(moves, pin) {
  const from = entryOf(moves, pin.component);
  if (from < 0) return null;
  const move = moves[from];
  const own = {
    ...move,
    ids: [pin.component],
    until: move.until.kind === "progress" || move.until.kind === "baseEnd" ? { kind: "progress", ids: [pin.component], at: 1, mostS: move.until.mostS } : move.until
  };
  if ("leaves" in pin) return pin.leaves ? leaving(moves, own) : staying(moves, pin.component);
  if ("forS" in pin)
    return moves.map((one, index) => index === from ? { ...one, until: { kind: "held", seconds: pin.forS } } : one);
  const rest = moves.flatMap((one, index) => index === from ? without(one, pin.component) : [one]);
  const at3 = targetIndex(rest, pin);
  if (at3 === null) return null;
  const isAfterOff = rest.slice(0, at3).some(({ kind }) => kind === "off");
  const next = rest[at3];
  const placed = {
    ...own,
    segment: isAfterOff ? "end" : rest[Math.min(at3, rest.length - 1)]?.segment ?? own.segment,
    slot: isAfterOff ? "finish" : own.slot === "finish" ? "afterRice" : own.slot,
    until: isAfterOff ? forSeconds(FINISH_S) : next?.kind === "in" && next.slot === "base" ? forSeconds(ENTRY_S) : own.until
  };
  return [...rest.slice(0, at3), placed, ...rest.slice(at3)];
}
function targetIndex(moves, pin) {
  if ("before" in pin || "after" in pin) {
    const at3 = entryOf(moves, "before" in pin ? pin.before : pin.after);
    return at3 < 0 ? null : "before" in pin ? at3 : at3 + 1;
  }
  const rice = indexOfSlot(moves, ({ slot }) => slot === "rice");
  const off = indexOfSlot(moves, ({ kind }) => kind === "off");
  return pin.slot === "beforeRice" ? rice : pin.slot === "afterRice" ? rice + 1 : off + 1;
}
function without(move, id) {
  const ids2 = move.ids.filter((one) => one !== id);
  if (ids2.length === 0) return [];
  const until2 = move.until.kind === "progress" ? { ...move.until, ids: move.until.ids.filter((one) => one !== id) } : move.until;
  return [{ ...move, ids: ids2, until: until2 }];
}
function leaving(moves, own) {
  const [id] = own.ids;
  const from = entryOf(moves, id);
  const out = {
    kind: "out",
    slot: "own",
    ids: own.ids,
    segment: own.segment,
    until: { kind: "seconds", seconds: 5 }
  };
  const back = {
    ...out,
    kind: "back",
    slot: "back",
    segment: "end",
    until: { kind: "progress", ids: own.ids, at: 1, leastS: 3, mostS: 20 }
  };
  const off = moves.findIndex(({ slot }) => slot === "hotCheck");
  return [
    ...moves.slice(0, from),
    own,
    out,
    ...moves.slice(from).flatMap((one, index) => {
      const kept = index === 0 ? without(one, id) : [one];
      return from + index === off ? [back, ...kept] : kept;
    })
  ];
}
var staying = (moves, id) => moves.flatMap((one) => one.kind === "out" || one.kind === "aside" || one.kind === "back" ? without(one, id) : [one]);

// core/src/wok/sequence/pinVerdicts.ts
var MOST_WAYS = 6;
function pinVerdicts(pins, tried, cook) {
  if (tried.some((one) => one.faults.length === 0 && keepsAll(one, pins)))
    return pins.map((pin) => ({ pin, isKept: true, because: [] }));
  const verdicts = [];
  let base = best(tried);
  const kept = () => verdicts.filter(({ isKept }) => isKept).map(({ pin }) => pin);
  for (const pin of pins.filter((one) => !isTimed(one))) {
    if (keepsPin(base.moves, pin) && base.faults.length === 0) {
      verdicts.push({ pin, isKept: true, because: [] });
      continue;
    }
    const { verdict, way } = triedIn([base], [pin], kept(), cook);
    if (verdict.isKept) base = way;
    verdicts.push(verdict);
  }
  const places = kept();
  const ways = [base, ...othersLike(base, tried, places)];
  const times = [];
  for (const pin of pins.filter(isTimed)) {
    const { verdict } = triedIn(ways, [...times, pin], kept(), cook);
    if (verdict.isKept) times.push(pin);
    verdicts.push(verdict);
  }
  return pins.map((pin) => verdicts.find((one) => one.pin === pin));
}
var keepsAll = ({ moves }, pins) => pins.every((pin) => keepsPin(moves, pin));
var othersLike = (base, tried, pins) => tried.filter((one) => one !== base && one.faults.length === 0 && keepsAll(one, pins)).sort((a, b) => a.cost - b.cost).slice(0, MOST_WAYS - 1);
function triedIn(ways, pins, kept, cook) {
  const pin = pins.at(-1);
  let because = null;
  for (const way of ways) {
    const moves = pins.reduce((list, one) => list && withPin(list, one), way.moves);
    if (!moves) return { verdict: { pin, isKept: false, because: ["unknownComponent"] }, way };
    const edited = cook({ choice: way.choice, moves });
    const breaks = kept.some((one) => !keepsPin(edited.moves, one));
    if (edited.faults.length === 0 && keepsPin(edited.moves, pin) && !breaks)
      return { verdict: { pin, isKept: true, because: [] }, way: edited };
    because ??= breaks ? ["contradicts"] : edited.faults.map(({ code }) => code);
  }
  return { verdict: { pin, isKept: false, because: because ?? [] }, way: ways[0] };
}

// core/src/wok/heat/fry.ts
var FRIES_ABOVE_C = 105;
function addLoad(pan, load) {
  if (load.food !== "seasoning") {
    putIn(pan, load);
    return;
  }
  const water = load.waterFraction ?? (load.composition ?? FOOD_THERMAL.seasoning.composition).water ?? 0;
  putIn(pan, { ...load, massG: load.massG * (1 - water), waterFraction: 0 });
  pourOnMetal(pan, load.massG / 1e3 * water, load.tempC);
}

// core/src/wok/heat/lift.ts
var BOWL = { timeS: 420, atKg: 0.1, power: 1 / 3 };
function lift(pan, index) {
  const portion = pan.portions[index];
  if (!portion) throw new RangeError(`no component ${index} in the vessel`);
  const at3 = COMMON + index * PER_FOOD;
  const { y, put: put2 } = pan;
  const lifted = {
    portion,
    tempC: foodC(pan, index),
    freeKg: y[at3 + FREE],
    boundKg: y[at3 + BOUND],
    iceJ: y[at3 + ICE]
  };
  put2[0] -= y[at3 + HEAT] - y[at3 + ICE];
  put2[1] -= y[at3 + FREE] + y[at3 + BOUND];
  y.copyWithin(at3, at3 + PER_FOOD, COMMON + pan.portions.length * PER_FOOD);
  pan.faces.copyWithin(index, index + 1, pan.portions.length);
  pan.patches.copyWithin(index, index + 1, pan.portions.length);
  pan.portions.splice(index, 1);
  arrange(pan);
  return lifted;
}
function putBack(pan, { portion, tempC, freeKg, boundKg, iceJ }) {
  const index = pan.portions.push(portion) - 1;
  pan.patches[index] = 0;
  const at3 = COMMON + index * PER_FOOD;
  const heatJ = (portion.dryJPerK + (freeKg + boundKg) * WATER_J_PER_KGK) * tempC;
  pan.y[at3 + HEAT] = heatJ;
  pan.y[at3 + FREE] = freeKg;
  pan.y[at3 + BOUND] = boundKg;
  pan.y[at3 + ICE] = iceJ;
  pan.put[0] += heatJ - iceJ;
  pan.put[1] += freeKg + boundKg;
  arrange(pan);
  return index;
}
function inBowl(lifted, seconds) {
  const massKg = lifted.portion.dryKg + lifted.freeKg + lifted.boundKg;
  const timeS = BOWL.timeS * (massKg / BOWL.atKg) ** BOWL.power;
  return { ...lifted, tempC: AIR_C + (lifted.tempC - AIR_C) * Math.exp(-seconds / timeS) };
}
function setPatch(pan, index, patchM22) {
  if (!pan.portions[index]) throw new RangeError(`no component ${index} in the vessel`);
  pan.patches[index] = patchM22;
  arrange(pan);
}

// core/src/wok/sequence/pour.ts
var PATCH = { depthM: 4e-3, mostShare: 0.3 };
function pour(pan, one, share, isOnWall) {
  if (one.place === "sauce" && isOnWall) addLoad(pan, loadOf(one, share));
  else if (share === 1) putPortionIn(pan, portionFor(one));
  else putIn(pan, loadInWok(one, share));
}
function patchM2(pan, index) {
  const { volumeM3 } = pan.portions[index];
  const othersM3 = pan.portions.reduce((sum, one, at3) => sum + (at3 === index ? 0 : one.volumeM3), 0);
  if (othersM3 < volumeM3) return 0;
  return Math.min(PATCH.mostShare * pan.vessel.areaAM2, volumeM3 / PATCH.depthM);
}

// core/src/wok/sequence/caramel.ts
var { exp: exp3, max: max9 } = Math;
var CARAMEL = { perS: 0.3, atC: 173, activationJPerMol: 12e4, towardsMetal: 0.35 };
function caramelPerS(metalTempC) {
  const atC = 100 + CARAMEL.towardsMetal * max9(0, metalTempC - 100);
  const inverse = 1 / (CARAMEL.atC + 273.15) - 1 / (atC + 273.15);
  return CARAMEL.perS * exp3(CARAMEL.activationJPerMol / 8.314462 * inverse);
}

// core/src/wok/sequence/inside.ts
var BEARS_LITTLE = ["raw", "ready", "egg"];
var insideOf = (one, overS, peakC, fatG, lumpS) => ({
  one,
  bearsLittle: BEARS_LITTLE.includes(one.place),
  overS,
  peakC,
  fatG,
  lumpS
});

// core/src/wok/sequence/precision.ts
var PRECISION = {
  ranking: { stepS: 2, eggStepS: 0.5, leastS: 0.5, method: "heun" },
  fine: { stepS: 1, eggStepS: 0.25, leastS: 0.25, method: "rk4" },
  coarse: { stepS: 8, eggStepS: 2, leastS: 2, method: "heun" }
};

// core/src/wok/sequence/cooking.ts
var { exp: exp4, max: max10, min: min8 } = Math;
var OVER_FROM_C = 72;
var FILM_GONE_KG = 5e-4;
var Cooking = class _Cooking {
  constructor(precision, pan, following, inside, bowls, seen, riceIn, settledS, opensS) {
    this.precision = precision;
    this.pan = pan;
    this.following = following;
    this.inside = inside;
    this.bowls = bowls;
    this.seen = seen;
    this.riceIn = riceIn;
    this.settledS = settledS;
    this.opensS = opensS;
  }
  precision;
  pan;
  following;
  inside;
  bowls;
  seen;
  riceIn;
  settledS;
  opensS;
  /** `opensS`: how soon the cook's tool opens lumps [s]. */
  static start(vessel, metalAC, metalBC, precision, opensS = OPENS_S.ladle) {
    const pan = emptyPan(vessel, metalAC, metalBC, 0, "stir");
    return new _Cooking(precision, pan, startFollowing(), [], /* @__PURE__ */ new Map(), seenOf(Infinity, 0, 0, 0), false, 0, opensS);
  }
  /** The same as it is now, to go on from in another way. */
  copy() {
    const { lowestC, fryingS, caramel, butterC } = this.seen;
    return new _Cooking(
      this.precision,
      copyPan(this.pan),
      copyFollowing(this.following),
      this.inside.map(({ one, overS, peakC, fatG, lumpS }) => insideOf(one, overS, peakC, fatG, lumpS)),
      new Map(this.bowls),
      seenOf(lowestC, fryingS, caramel, butterC),
      this.riceIn,
      this.settledS,
      this.opensS
    );
  }
  get isFine() {
    return this.precision === "fine";
  }
  get isCoarse() {
    return this.precision === "coarse";
  }
  doneness(index) {
    return donenessAt(this.following, index);
  }
  coreC(index) {
    return coreCAt(this.following, index);
  }
  /** Goes on for one step of the precision, or for less where so many seconds are left; no less than its shortest step. */
  step(leftS = Infinity, leastS = PRECISION[this.precision].leastS) {
    const { stepS, eggStepS, method } = PRECISION[this.precision];
    const seconds = leftS < stepS ? max10(leastS, leftS) : stepS;
    advance(this.pan, this.pan.atS + seconds, min8(this.isEggAlone() ? eggStepS : stepS, seconds), method, this.look);
  }
  work(heat, handling) {
    setWork(this.pan, { handling, level: heat.open, holdC: heat.ceilingC });
  }
  off() {
    setWork(this.pan, { level: 0 });
  }
  oil(massG) {
    pourOil(this.pan, massG / 1e3);
  }
  /** Puts a share of a component in, on the bare wall or on metal of its own where asked. */
  add(one, share, how) {
    const { pan } = this;
    const before = pan.portions.length;
    pour(pan, one, share, how.isOnWall ?? false);
    if (pan.portions.length === before) return;
    this.inside.push(insideOf(one, 0, one.tempC, one.rendersG * share, one.lumpLagS));
    followAdded(pan, this.following);
    addLag(this.following, before, one.lumpLagS);
    if (one.place === "rice") {
      if (this.riceIn && this.inside.filter(({ one: { place } }) => place === "rice").length === 1)
        this.seen.fryingS = 0;
      this.riceIn = true;
      this.seen.lowestC = min8(this.seen.lowestC, metalC(pan));
    }
    if (how.isPatch) setPatch(pan, before, patchM2(pan, before));
  }
  /**
   * Fat that ran out of what lies in the vessel since the last time, which is on the metal from now on [g]. Settled at the
   * end of a step: how the food lies is worked out anew with it.
   */
  settleFat() {
    const seconds = this.pan.atS - this.settledS;
    this.settledS = this.pan.atS;
    let ranG = 0;
    for (let index = 0; index < this.inside.length; index += 1) {
      const it = this.inside[index];
      if (it.fatG <= 0) continue;
      const left = it.fatG * exp4(-rendersPerS(foodC(this.pan, index)) * seconds);
      ranG += it.fatG - left;
      it.fatG = left;
    }
    if (ranG > 0) this.oil(ranG);
    return ranG;
  }
  /** Folds what has metal of its own into the heap. */
  fold() {
    for (let index = 0; index < this.pan.portions.length; index += 1)
      if (this.pan.patches[index] > 0) setPatch(this.pan, index, 0);
  }
  /** Takes components out into bowls. */
  takeOut(ids2) {
    for (let index = this.inside.length - 1; index >= 0; index -= 1) {
      const was = this.inside[index];
      if (!ids2.includes(was.one.id)) continue;
      const lifted = lift(this.pan, index);
      const doneness = followLifted(this.following, index);
      this.bowls.set(was.one.id, { was, lifted, doneness, sinceS: this.pan.atS, outC: lifted.tempC });
      this.inside.splice(index, 1);
    }
  }
  /** Puts what lies in a bowl back; how much it has cooled comes back [K]. */
  bringBack(id) {
    const bowl = this.bowls.get(id);
    if (!bowl) return 0;
    this.bowls.delete(id);
    const { was, doneness } = bowl;
    const cooled = inBowl(bowl.lifted, this.pan.atS - bowl.sinceS);
    putBack(this.pan, cooled);
    this.inside.push(insideOf(was.one, was.overS, was.peakC, was.fatG, was.lumpS));
    followReturned(this.pan, this.following, { ...doneness, coreC: min8(doneness.coreC, cooled.tempC) });
    return bowl.outC - cooled.tempC;
  }
  /** Everything in bowls and in the vessel tossed together [°C]; null where no bowl is filled. */
  bowlC() {
    let heat = 0;
    let mass = 0;
    for (const { lifted, sinceS } of this.bowls.values()) {
      const cooled = inBowl(lifted, this.pan.atS - sinceS);
      const massKg = cooled.portion.dryKg + cooled.freeKg + cooled.boundKg;
      heat += massKg * cooled.tempC;
      mass += massKg;
    }
    if (mass === 0) return null;
    const inVessel = heapMass(this.pan).massKg;
    return (heat + inVessel * (heapC(this.pan) ?? 0)) / (mass + inVessel);
  }
  /** Numbers of components in the vessel, which stay until something goes in or out. */
  indexesOf(ids2) {
    return this.inside.flatMap(({ one }, index) => ids2.includes(one.id) ? [index] : []);
  }
  /** Least progress of these; without end where there are none. */
  progress(indexes) {
    let least = Infinity;
    for (const index of indexes) least = min8(least, this.progressAt(index));
    return least;
  }
  /** How fast a component browns now [1/s]. */
  browningPerS(index) {
    return browningPerSAt(this.following, index);
  }
  /** Worst burn of what is in the vessel. */
  burn() {
    let worst = 0;
    for (let index = 0; index < this.inside.length; index += 1)
      worst = max10(worst, browningAt(this.following, index) / this.inside[index].one.burnAt);
    return worst;
  }
  freeFraction() {
    const { massKg, freeKg } = heapMass(this.pan);
    return massKg > 0 ? (max10(0, freeKg) + this.pan.y[FILM]) / massKg : 0;
  }
  /** After every step: what the components have come to, and what the whole run is judged by. */
  look = (_, stepS) => {
    const { pan, following, inside, seen } = this;
    followStep(pan, following, stepS);
    for (let index = 0; index < inside.length; index += 1) {
      const it = inside[index];
      const coreC = coreCAt(following, index);
      if (coreC > it.peakC) it.peakC = coreC;
      if (it.lumpS > 0) {
        const left = it.lumpS * exp4(-stepS / this.opensS);
        addLag(following, index, left - it.lumpS);
        it.lumpS = left;
      }
      if (it.bearsLittle && coreC > OVER_FROM_C && this.progressAt(index) >= 1) it.overS += stepS;
      if (it.one.place === "butter") seen.butterC = max10(seen.butterC, metalC(pan));
    }
    if (pan.y[FILM] > FILM_GONE_KG) seen.caramel += stepS * caramelPerS(metalC(pan));
    if (!this.riceIn) return;
    seen.lowestC = min8(seen.lowestC, metalC(pan));
    if (this.meanFaceC() > FRIES_ABOVE_C) seen.fryingS += stepS;
  };
  progressAt(index) {
    const { following } = this;
    return progressBy(
      this.inside[index].one,
      coreCAt(following, index),
      softnessAt(following, index),
      browningAt(following, index),
      logKillAt(following, index)
    );
  }
  /** Mean of the faces that lie on the metal under the flame [°C]. */
  meanFaceC() {
    const { parts: parts2, faces } = this.pan;
    let area = 0;
    let sum = 0;
    for (let index = 0; index < this.inside.length; index += 1) {
      const own = parts2[index * PER_PART + P_AREA_A];
      area += own;
      sum += own * faces[index];
    }
    return area > 0 ? sum / area : 0;
  }
  isEggAlone() {
    return !this.riceIn && this.inside.some(({ one }) => one.place === "egg");
  }
};
var seenOf = (lowestC, fryingS, caramel, butterC) => ({
  lowestC,
  fryingS,
  caramel,
  butterC
});

// core/src/wok/sequence/levels.ts
var PREHEAT_C = {
  full: 230,
  high: 220,
  medium: 190,
  mediumThenHigh: 190,
  lowRising: 160,
  zones: 230
};
var HIGH_C = 240;
var HIGH_OWN_C = 250;
var LOW = { egg: 165, base: 185, own: 175, rice: 235 };
var EGG_ZONE_C = 175;
var MEDIUM = { belowK: 85, leastC: 195, mostC: 230, open: 0.8 };
var SHIMMERS_C = 190;
var preheatToC = ({ heat, preheat: preheat2 }, holdC) => Math.min(PREHEAT_C[heat], holdC - 8, preheat2 === "oilFromCold" ? SHIMMERS_C : Infinity);
var heatFor = ({ heat, lastToss }, segment, holdC) => segment !== "last" ? heatOf(heat, segment, holdC) : lastToss === "lowered" ? heatOf("medium", "base", holdC) : heatOf(heat, "end", holdC);
function handlingFor(segment, asked) {
  const isBeforeRice = segment === "egg" || segment === "own" || segment === "base";
  return asked === "toss" && isBeforeRice ? "stir" : asked;
}
function heatOf(school, segment, holdC) {
  const full = { ceilingC: holdC, open: 1, level: "full" };
  const mediumC = Math.min(MEDIUM.mostC, Math.max(MEDIUM.leastC, holdC - MEDIUM.belowK));
  const at3 = (ceilingC, open, level) => ({
    ceilingC: Math.min(holdC, ceilingC),
    open,
    level
  });
  const medium = at3(mediumC, MEDIUM.open, "medium");
  switch (school) {
    case "full":
      return full;
    case "high":
      return segment === "rice" || segment === "end" ? full : at3(segment === "own" ? HIGH_OWN_C : HIGH_C, 1, "high");
    case "medium":
      return segment === "rice" ? at3(holdC - 40, 0.9, "high") : medium;
    case "mediumThenHigh":
      return segment === "rice" || segment === "end" ? full : medium;
    case "lowRising":
      if (segment === "end") return full;
      return segment === "rice" ? at3(LOW.rice, 0.8, "medium") : at3(LOW[segment], segment === "egg" ? 0.4 : segment === "base" ? 0.5 : 0.45, "low");
    case "zones":
      return segment === "egg" ? at3(EGG_ZONE_C, 1, "low") : segment === "base" ? medium : full;
  }
}

// core/src/wok/sequence/until.ts
var { max: max11, min: min9 } = Math;
var BURN_STOPS = 0.7;
function until(cooking, end, startS) {
  let lowC = metalC(cooking.pan);
  const waitsFor = "ids" in end ? cooking.indexesOf(end.ids) : [];
  const aromatics = end.kind === "baseEnd" ? cooking.indexesOf(end.aromatics) : [];
  const brownedBefore = end.kind === "crust" ? riceBrowning(cooking) : 0;
  const nearness = () => nearnessOf(cooking, end, cooking.pan.atS - startS, waitsFor, aromatics, brownedBefore);
  let near = nearness();
  let perS = 0;
  while (near < 1 - ROUNDING) {
    const was = near;
    const fromS = cooking.pan.atS;
    if (end.kind === "seconds" || end.kind === "held") cooking.step(end.seconds - (fromS - startS), 0);
    else cooking.step((1 - near) / perS);
    lowC = min9(lowC, metalC(cooking.pan));
    near = nearness();
    perS = max11(0, near - was) / (cooking.pan.atS - fromS);
    if (cooking.isCoarse && near > 1 && Number.isFinite(near)) cooking.pan.atS = fromS + (1 - was) / perS;
  }
  return { lowC, isRiceDone: (end.kind === "riceDone" || end.kind === "held") && isRiceDone(cooking) };
}
var ROUNDING = 1e-9;
var part2 = (spentS, ofS) => ofS > 0 ? spentS / ofS : Infinity;
function nearnessOf(cooking, end, spentS, waitsFor, aromatics, brownedBefore) {
  switch (end.kind) {
    case "seconds":
    case "held":
      return part2(spentS, end.seconds);
    case "progress":
      return max11(
        spentS / end.mostS,
        min9(part2(spentS, end.leastS ?? 0), end.at > 0 ? cooking.progress(waitsFor) / end.at : 1)
      );
    case "baseEnd":
      return max11(
        spentS / end.mostS,
        min9(
          part2(spentS, ENTRY_S),
          max11(
            cooking.burn() / BURN_STOPS,
            min9(cooking.progress(waitsFor), max11(part2(spentS, end.aromaticS), cooking.progress(aromatics)))
          )
        )
      );
    case "riceHalf":
      return max11(2 * spentS / RICE.mostS, warmedHalf(cooking));
    case "riceDone":
      return max11(
        spentS / RICE.mostS,
        waitsFor.length > 0 ? min9(riceNearness(cooking), cooking.progress(waitsFor)) : riceNearness(cooking)
      );
    case "crust":
      return max11(spentS / end.mostS, (riceBrowning(cooking) - brownedBefore) / RICE.crustBrowning);
    case "dry":
      return max11(spentS / end.mostS, min9(part2(spentS, end.leastS), dryness(cooking)));
  }
}
var dryness = (cooking) => RICE.freeFraction / max11(1e-9, cooking.freeFraction());
var riceNearness = (cooking) => min9(riceCoreC(cooking) / READY_C.aimed, cooking.seen.fryingS / RICE.fryingS, dryness(cooking));
var isRiceDone = (cooking) => riceNearness(cooking) >= 1 - ROUNDING;
function riceCoreC(cooking) {
  let least = Infinity;
  cooking.inside.forEach(({ one }, index) => {
    if (one.place === "rice") least = min9(least, cooking.coreC(index));
  });
  return least;
}
function warmedHalf(cooking) {
  const startC = cooking.inside.find(({ one }) => one.place === "rice")?.one.tempC ?? 0;
  return (riceCoreC(cooking) - startC) / (RICE.halfOf * (READY_C.checked - startC));
}
function riceBrowning(cooking) {
  const index = cooking.inside.findIndex(({ one }) => one.place === "rice");
  return index < 0 ? 0 : cooking.doneness(index).browning;
}
function riceAt(cooking, startS, startC) {
  const { lowestC, fryingS } = cooking.seen;
  return {
    startS,
    doneS: null,
    startC,
    lowestC,
    fryingS,
    freeFraction: cooking.freeFraction(),
    coreC: riceCoreC(cooking)
  };
}

// core/src/wok/sequence/simulate.ts
var WAIT = { overK: 25, underK: 35, mostS: 90, coarseS: 3 };
var CARRIES_OIL = 0.03;
function beginTogether(lists, parts2) {
  const seen = /* @__PURE__ */ new Set();
  const shared = /* @__PURE__ */ new Set();
  for (const { choice, moves } of lists)
    for (const key of keysOf(moves, choice, parts2)) (seen.has(key) ? shared : seen).add(key);
  return { kept: /* @__PURE__ */ new Map(), isShared: (key) => shared.has(key) };
}
function simulate(parts2, choice, moves, station, precision, begun) {
  const { vessel } = station;
  const preheatC = preheatToC(choice, vessel.holdC);
  const heated2 = heatedTo(station, preheatC);
  const kitchen = {
    station,
    choice,
    preheatC,
    all: parts2.byId,
    oilings: oilingsOf(moves),
    fatG: parts2.fat.reduce((sum, { massG }) => sum + massG, 0)
  };
  const keys = begun ? keysOf(moves, choice, parts2) : [];
  let at3 = begun ? moves.length : 0;
  while (at3 > 0 && !begun?.kept.has(keys[at3 - 1])) at3 -= 1;
  let going = begun && at3 > 0 ? copyOf(begun.kept.get(keys[at3 - 1])) : {
    cooking: Cooking.start(vessel, heated2.metalC, heated2.rimC, precision, OPENS_S[choice.tool]),
    done: [],
    oiled: 0,
    asideK: 0,
    hasSteamed: false,
    rice: null
  };
  for (; at3 < moves.length; at3 += 1) {
    cookMove(going, moves[at3], kitchen);
    if (!begun?.isShared(keys[at3])) continue;
    begun.kept.set(keys[at3], going);
    going = copyOf(going);
  }
  const { cooking, rice, asideK, done } = going;
  const residual = residuals(cooking.pan);
  return {
    choice,
    moves: done,
    preheatS: heated2.seconds,
    preheatC: heated2.metalC,
    totalS: cooking.pan.atS,
    rice: {
      ...riceAt(cooking, rice?.startS ?? 0, rice?.startC ?? rimC(cooking.pan)),
      doneS: rice?.doneS ?? null
    },
    ended: endedOf(cooking),
    caramel: cooking.seen.caramel,
    butterC: cooking.seen.butterC,
    fatOverK: overSmokeK(done, parts2.fat),
    asideK,
    bowlC: cooking.bowlC(),
    energyResidual: residual.energy,
    waterResidual: residual.water
  };
}
var copyOf = (going) => ({
  ...going,
  cooking: going.cooking.copy(),
  done: [...going.done],
  rice: going.rice && { ...going.rice }
});
var oilingsOf = (moves) => moves.filter(({ kind }) => kind === "oil").length;
function keysOf(moves, { heat, garlic, preheat: preheat2, lastToss, oil, tool }, { fat }) {
  let key = `${heat} ${garlic} ${preheat2} ${lastToss} ${oil} ${tool} ${fat.length > 0 ? oilingsOf(moves) : 0}`;
  return moves.map((move) => key += `|${JSON.stringify(move)}`);
}
function cookMove(going, move, { station, choice, preheatC, all, oilings, fatG }) {
  const { cooking } = going;
  const heat = heatFor(choice, move.segment, station.vessel.holdC);
  const handling = move.handling ?? handlingFor(move.segment, station.handling);
  const isOiledOff = move.kind === "oil" && going.oiled === 0 && choice.preheat === "offWhileOiling";
  if (move.kind === "off") cooking.off();
  else cooking.work(heat, handling);
  const waitedS = move.kind === "oil" ? waitEmpty(cooking, heat.ceilingC, Math.min(preheatC, heat.ceilingC)) : 0;
  const startS = cooking.pan.atS;
  const startC = metalC(cooking.pan);
  let oilG = 0;
  let carriedG = 0;
  const onMetalG = cooking.pan.oilKg * 1e3;
  if (move.kind === "oil") {
    oilG = fatG * oilShare(going.oiled, oilings);
    going.oiled += 1;
    cooking.oil(oilG);
    if (isOiledOff) cooking.off();
  }
  if (move.kind === "in" && !STAYS_COOL.includes(move.slot)) {
    for (const one of move.ids.map((id) => all.get(id)))
      if (!isStrewn(one)) cooking.add(one, move.shares?.[one.id] ?? 1, move);
  }
  if (move.kind === "out" || move.kind === "aside") {
    if (move.kind === "out") wait(cooking, LOOKS_S);
    const outG = move.ids.reduce((sum, id) => sum + (all.get(id)?.massG ?? 0), 0);
    cooking.takeOut(move.ids);
    const carried = move.slot === "egg" && choice.oil === "pressedBack" ? 0 : Math.min(cooking.pan.oilKg * 1e3, CARRIES_OIL * outG);
    cooking.oil(-carried);
    carriedG = carried;
  }
  if (move.kind === "back") for (const id of move.ids) going.asideK += cooking.bringBack(id);
  const seen = until(cooking, move.until, startS);
  const renderedG = cooking.settleFat();
  if (move.isPatch) cooking.fold();
  if (move.slot === "rice" && going.rice === null) going.rice = riceAt(cooking, startS, startC);
  else if (move.slot === "rice" && going.rice?.doneS === null) going.hasSteamed = true;
  if (going.rice && (move.slot === "rice" || going.rice.doneS === null))
    going.rice.doneS = seen.isRiceDone && !going.hasSteamed ? cooking.pan.atS : null;
  going.done.push(
    noteOf(cooking, move, { startS, startC, lowC: seen.lowC, oilG, renderedG, carriedG, onMetalG, waitedS })
  );
}
var LOOKS_S = 2;
var STAYS_COOL = ["dry", "volatile", "finish"];
var heatedTo = ({ vessel, isGriddle }, toC) => isGriddle ? { seconds: 0, metalC: toC, rimC: toC } : preheatOf(vessel, toC);
var oilShare = (nth, oilings) => oilings === 1 ? 1 : nth === 0 ? 0.5 : 0.5 / (oilings - 1);
function overSmokeK(moves, fats) {
  const smokesAtC = Math.min(...fats.map((one) => one.smokesAtC ?? Infinity));
  return Math.max(0, ...moves.map(({ move, startC }) => move.kind === "oil" ? startC - smokesAtC : 0));
}
function waitEmpty(cooking, ceilingC, heatC) {
  if (cooking.inside.length > 0) return 0;
  let seconds = 0;
  const isOff = () => {
    const nowC = metalC(cooking.pan);
    return nowC > ceilingC + WAIT.overK || nowC < heatC - WAIT.underK;
  };
  const stepS = cooking.isCoarse ? WAIT.coarseS : 1;
  for (; isOff() && seconds < WAIT.mostS; seconds += stepS) cooking.step(stepS);
  return seconds;
}
function wait(cooking, seconds) {
  const toS = cooking.pan.atS + seconds;
  while (cooking.pan.atS < toS) cooking.step(toS - cooking.pan.atS, 0);
}

// core/src/wok/sequence/derive.ts
var MOST = { candidates: 300, simulated: 12, minor: 12, quick: 3 };
var round = (cost) => Math.round(cost * 100) / 100;
function startDeriving(input) {
  const { dish, batchMassG, riceTempC, rules } = input;
  const vessel = sameVesselOf(input.station);
  const laps = dish.schools.batches === "tossedInBowl" ? lapsOf(batchMassG, input) : 1;
  const components = dish.components.flatMap((one) => laps === 1 ? stagedInputs(one) : stagedInputs(one).flatMap((part3) => lappedInputs(part3, laps))).map(
    (one) => componentOf(
      one.role === "rice" ? { waterFraction: input.riceWaterFraction, lumpMm: input.riceLumpMm, ...one } : one,
      batchMassG,
      riceTempC,
      rules
    )
  ).filter(({ massG }) => massG > 0).map(asFat).map((one) => isSlow(one, needS(one, vessel)) ? { ...one, place: "slow" } : one).sort((a, b) => compareText(a.id, b.id));
  const garlic = dish.schools.garlic;
  const parts2 = partsOf(
    components,
    garlic === void 0 || garlic === "auto" ? "early" : garlic,
    dish.splitAllergens,
    vessel
  );
  const isGriddle = input.station.kind === "griddle";
  const { rice } = dish.schools;
  const asked = !isGriddle && (rice === "toss" || rice === "stir") ? rice : input.handling;
  const station = {
    vessel,
    handling: handlingOfLoad(asked, input.station, heaviestG(components)),
    isGriddle,
    isCoated: input.station.isCoated ?? false
  };
  return { dish, components, parts: parts2, station, vessel };
}
function asFat(one, _, all) {
  if (one.place !== "butter" || all.some(({ place }) => place === "fat")) return one;
  return renderers(all.filter(({ place }) => place === "raw")).length > 0 ? one : { ...one, place: "fat" };
}
function derive(input, effort = "full") {
  const { dish, components, parts: parts2, station, vessel } = startDeriving(input);
  if (parts2.rice.length === 0) return { kind: "nothing", because: "noRice" };
  const counts = ({ code }) => !input.keepsTooMuch || !isTooMuch(code);
  const before = faultsBefore(components, dish, vessel).filter(counts);
  if (before.length > 0) return { kind: "infeasible", faults: before, rejected: [], pins: [] };
  const pins = dish.pins ?? [];
  const axes = axesOf(dish.schools, parts2, station);
  const seen = /* @__PURE__ */ new Set();
  const rejected = /* @__PURE__ */ new Map();
  const reject = (why) => rejected.set(why, (rejected.get(why) ?? 0) + 1);
  const tried = [];
  let begun;
  const listed = (choice) => {
    const moves = movesOf(parts2, choice);
    const signature = `${choice.heat} ${moves.map(signatureOf).join(" ")}`;
    if (seen.has(signature) || seen.size >= MOST.candidates) return null;
    seen.add(signature);
    return { choice, moves };
  };
  const cook = ({ choice, moves }) => {
    const run = simulate(parts2, choice, moves, station, "ranking", begun);
    const faults = faultsOf(run, components, dish).filter(counts);
    const candidate = { choice, moves, run, faults, cost: round(costOf(run, station)) };
    tried.push(candidate);
    faults.forEach(({ code }) => reject(code));
    return candidate;
  };
  const keepsAll2 = (one) => pins.every((pin) => isTimed(pin) || keepsPin(one.moves, pin));
  const lists = majorChoices(axes, dish.schools).flatMap((choice) => listed(choice) ?? []);
  const pinned = lists.filter(keepsAll2);
  for (let n = pinned.length; n < lists.length; n += 1) reject("pin");
  const screened = screen(pinned.length > 0 ? pinned : lists, parts2, effort);
  begun = beginTogether(screened, parts2);
  screened.forEach(cook);
  if (effort === "full") {
    const changes = minorChanges(best(tried).choice, axes).slice(0, MOST.minor).flatMap((change) => listed(change) ?? []).filter((list) => pinned.length === 0 || keepsAll2(list));
    begun = beginTogether(changes, parts2);
    changes.forEach(cook);
  }
  begun = void 0;
  const verdicts = pins.length > 0 ? pinVerdicts(pins, tried, cook) : [];
  const chosen = checked(
    tried.filter((one) => verdicts.every(({ pin, isKept }) => !isKept || keepsPin(one.moves, pin))),
    (one) => {
      const run = simulate(parts2, one.choice, one.moves, station, "fine");
      return { ...one, run, faults: faultsOf(run, components, dish).filter(counts), cost: round(costOf(run, station)) };
    }
  );
  const others = tried.filter(({ faults }) => faults.length === 0).length;
  if (others > 1) rejected.set("dearer", others - 1);
  const turnedDown = [...rejected].map(([why, count]) => ({ why, count }));
  if (chosen.faults.length > 0)
    return { kind: "infeasible", faults: chosen.faults, rejected: turnedDown, pins: verdicts };
  return {
    kind: "derived",
    parts: parts2,
    components,
    station,
    best: chosen,
    runnerUp: runnerUpOf(tried, chosen),
    rejected: turnedDown,
    pins: verdicts,
    simulated: tried.length
  };
}
var signatureOf = ({ kind, slot, ids: ids2, segment, handling, isOnWall }) => `${kind}.${slot}.${segment}.${handling ?? ""}.${isOnWall ? "wall" : ""}.${ids2.join("+")}`;
function screen(lists, parts2, effort) {
  const ranked = lists.map((list, nth) => ({ list, nth, cost: estimate(list.moves, parts2) })).sort((a, b) => a.cost - b.cost || a.nth - b.nth);
  const kept = new Set(ranked.slice(0, effort === "quick" ? MOST.quick : MOST.simulated).map(({ list }) => list));
  for (const name of effort === "quick" ? [] : ["egg", "heat", "rawProtein", "order", "quick"])
    for (const value of new Set(ranked.map(({ list }) => list.choice[name]))) {
      const first = ranked.find(({ list }) => list.choice[name] === value);
      if (first) kept.add(first.list);
    }
  return lists.filter((list) => kept.has(list));
}

// core/src/wok/quick/inVessel.ts
var AT_S = 0;
var J_PER_K = 1;
var FREE_KG = 2;
var VOLUME_M3 = 3;
var LAYER_M2 = 4;
var OIL_KG = 5;
var SAUCE_KG = 6;
var OWED_J = 7;
var COLD_J = 8;
var COLD_AT_S = 9;
var RICE_AT_S = 10;
var BEGAN_S = 11;
var MOST_MOVES = 240;
function emptyVessel() {
  VESSEL.fill(0, 0, BEGAN_S);
  VESSEL[RICE_AT_S] = -1;
  return VESSEL;
}
var VESSEL = new Float64Array(BEGAN_S + MOST_MOVES);

// core/src/wok/quick/preparedWay.ts
var NUMBER_OF_KIND = {
  progress: 0,
  baseEnd: 1,
  riceHalf: 2,
  riceDone: 3,
  crust: 4,
  dry: 5,
  seconds: 6,
  held: 6
};
var KINDS = 7;
var BROWNS_AT_C = 150;
var RICE_SLOTS = ["rice", "turn", "halfTime", "crust", "lid"];
function preparedWay(moves, parts2) {
  const oilings = moves.filter(({ kind }) => kind === "oil").length;
  const fatKg = parts2.fat.reduce((sum, { massG }) => sum + massG, 0) / 1e3;
  const cameWith = /* @__PURE__ */ new Map();
  const leftWith = /* @__PURE__ */ new Map();
  let oiled2 = 0;
  return moves.map((move, index) => {
    const some = move.ids.flatMap((id) => parts2.byId.get(id) ?? []);
    const goesIn = move.kind === "back" || move.kind === "in" && !STAYS_COOL.includes(move.slot);
    const goesOut = move.kind === "out" || move.kind === "aside";
    for (const { id } of some) {
      if (goesIn) cameWith.set(id, index);
      if (goesOut) leftWith.set(id, index);
    }
    const isOil = move.kind === "oil";
    const oilKg = isOil ? oilShare(oiled2, oilings) * fatKg : 0;
    if (isOil) oiled2 += 1;
    const need = (one) => needOf(one, move, cameWith.get(one.id) ?? index, leftWith.get(one.id) ?? -1);
    const inside = [...cameWith.keys()].flatMap((id) => parts2.byId.get(id) ?? []);
    return {
      segment: move.segment,
      handling: move.handling ?? null,
      kind: NUMBER_OF_KIND[move.until.kind],
      isSauce: move.slot === "sauce",
      isRice: move.until.kind === "riceHalf" || move.until.kind === "riceDone",
      isOil,
      oilKg,
      goes: goesIn ? foodOf2(some, move) : null,
      leaves: goesOut ? foodOf2(some, move) : null,
      seconds: secondsOf(move),
      waits: waitsOf(move, parts2, inside, need)
    };
  });
}
var secondsOf = ({ until: until2, kind }) => until2.kind === "seconds" || until2.kind === "held" ? until2.seconds + (kind === "out" ? LOOKS_S : 0) : 0;
function foodOf2(some, { shares, kind }) {
  const sum = { boilJ: 0, jPerK: 0, freeKg: 0, boundKg: 0, volumeM3: 0, layerM2: 0 };
  for (const one of some) {
    const share = shares?.[one.id] ?? 1;
    const { freeKg, boundKg, dryJPerK, volumeM3, layerM2 } = portionFor(one);
    const jPerK = dryJPerK + (freeKg + boundKg) * WATER_J_PER_KGK;
    const { water = 0 } = one.composition ?? FOOD_THERMAL[one.food].composition;
    const iceJ = one.isFrozen ? one.massG / 1e3 * water * MELT_J_PER_KG : 0;
    sum.boilJ += kind === "back" ? 0 : share * (jPerK * (BOIL_C - one.tempC) + iceJ);
    sum.jPerK += share * jPerK;
    sum.freeKg += share * freeKg;
    sum.boundKg += share * boundKg;
    sum.volumeM3 += share * volumeM3;
    sum.layerM2 += share * layerM2;
  }
  return sum;
}
function waitsOf({ until: until2, slot }, parts2, inside, need) {
  if (until2.kind === "seconds" || until2.kind === "held") return null;
  const ids2 = "ids" in until2 ? [...until2.ids, ...until2.kind === "baseEnd" ? until2.aromatics : []] : [];
  const some = ids2.flatMap((id) => parts2.byId.get(id) ?? []);
  return {
    at: until2.kind === "progress" ? until2.at : 1,
    leastS: "leastS" in until2 ? until2.leastS ?? 0 : 0,
    mostS: "mostS" in until2 ? until2.mostS : RICE.mostS,
    needs: (RICE_SLOTS.includes(slot) ? [...parts2.rice, ...some] : some).map(need),
    burns: until2.kind === "baseEnd" ? inside.map(need) : []
  };
}
function needOf(one, { until: until2 }, cameWith, leftWith) {
  const at3 = until2.kind === "progress" ? until2.at : 1;
  const portion = portionFor(one);
  const { pieceM, thermal, diffusivityM2PerS, volumeM3 } = portion;
  const brownsPerS = rateAt(thermal.browns, BROWNS_AT_C);
  const softens = isSoftened(one);
  const browns = isBrowned(one);
  return {
    cameWith,
    leftWith,
    lagS: pieceM * pieceM / 4 / (thermal.shapeN * diffusivityM2PerS),
    softS: softens ? at3 * softSeconds(one.food, one.goal) : 0,
    brownS: browns ? at3 * one.goal / brownsPerS : 0,
    burnS: one.burnAt / brownsPerS,
    mixS: mixSeconds(portion),
    coreK: softens || browns ? 0 : at3 * ((one.coreC ?? READY_C.aimed) - one.tempC),
    isRaw: one.place === "raw",
    volumeM3
  };
}
function mixSeconds({ piecesM2, pieceM, thermal, pieceWPerMK, dryJPerK, freeKg, boundKg }) {
  const resistance = 1 / CONTACT.dryWPerM2K + pieceM / thermal.shapeN / pieceWPerMK;
  return (dryJPerK + (freeKg + boundKg) * WATER_J_PER_KGK) * resistance / piecesM2;
}
var isBrowned = ({ target, food }) => target === "golden" || target === "bloomed" || target === "fragrant" && food !== "allium";
function isSoftened({ place, target, food }) {
  if (place === "raw") return false;
  if (target === "fragrant") return food === "allium";
  return target === "set" || target === "softened" || target === "tenderCrisp" || target === "wilted";
}

// core/src/wok/quick/figures.ts
var { log: log3, max: max12, min: min10 } = Math;
var log1p = (x) => log3(1 + x);
var FIGURES = KINDS + 44;
var figures = new Float64Array(FIGURES);
function writeFigures(vessel, heat, movement, preheatC, now, index, { kind, waits, goes }, factor) {
  const x = figures;
  const netW = vessel.netW * heat.open;
  x.fill(0);
  x[kind] = 1;
  let f = KINDS;
  x[f++] = log3(netW) - 8;
  x[f++] = heat.ceilingC / 100 - 2.5;
  x[f++] = log3(vessel.capacityAJPerK) - 6;
  x[f++] = log3(vessel.capacityBJPerK) - 6;
  x[f++] = log3(vessel.areaAM2) + 3;
  x[f++] = vessel.isGriddle ? 1 : 0;
  x[f++] = vessel.contact - 1;
  x[f++] = log3(movement.contactS);
  x[f++] = movement.contactShare * movement.pressed;
  x[f++] = movement.surface * movement.air - 1;
  x[f++] = movement.caught;
  x[f++] = log1p(now[OWED_J] / 1e3) / 3;
  x[f++] = log1p(now[COLD_J] / 1e3) / 3;
  x[f++] = log1p(now[OWED_J] / (netW * 10));
  x[f++] = log1p(now[FREE_KG] * 1e3) / 3;
  x[f++] = log1p(now[J_PER_K] / 100);
  x[f++] = min10(3, now[LAYER_M2] / vessel.areaAM2);
  x[f++] = log1p(now[VOLUME_M3] / vessel.areaAM2 * 100);
  x[f++] = min10(1, now[OIL_KG] / (OIL_FULL_KG_PER_M2 * vessel.areaAM2));
  x[f++] = log1p(now[AT_S] - now[COLD_AT_S]) / 3;
  x[f++] = log1p(now[SAUCE_KG] * 1e3) / 2;
  x[f++] = (preheatC - 200) / 50;
  if (now[RICE_AT_S] >= 0) x[f] = log1p(now[AT_S] - now[RICE_AT_S]) / 3;
  f += 1;
  if (goes) {
    x[f] = log1p(factor * goes.boilJ / 1e3) / 3;
    x[f + 1] = factor * goes.boilJ / (vessel.capacityAJPerK * 100);
    x[f + 2] = log1p(factor * goes.freeKg * 1e3) / 2;
    x[f + 3] = log1p(factor * goes.boundKg * 1e3) / 4;
    x[f + 4] = factor * goes.jPerK / now[J_PER_K];
  }
  f += 5;
  if (waits === null) return;
  x[f] = waits.at;
  writeNeeds(waits.needs, index, now, f + 1, factor / now[VOLUME_M3]);
  let burnt = 0;
  for (let n = 0; n < waits.burns.length; n += 1) {
    const one = waits.burns[n];
    burnt = max12(burnt, (now[AT_S] - now[BEGAN_S + one.cameWith]) / one.burnS);
  }
  x[FIGURES - 1] = min10(3, burnt);
}
function writeNeeds(needs, index, now, from, perM3) {
  const x = figures;
  for (let n = 0; n < needs.length; n += 1) {
    const one = needs[n];
    x[from] = min10(1.5, x[from] + one.volumeM3 * perM3);
    if (one.isRaw) x[from + 1] = 1;
    if (one.leftWith >= 0) x[from + 2] = max12(x[from + 2], log1p(now[AT_S] - now[BEGAN_S + one.leftWith]) / 3);
    if (one.cameWith === index) {
      x[from + 3] = max12(x[from + 3], log1p(one.lagS));
      x[from + 4] = max12(x[from + 4], log1p(one.softS) / 2);
      x[from + 5] = max12(x[from + 5], log1p(one.brownS) / 2);
      x[from + 6] = max12(x[from + 6], one.coreK / 80);
      x[from + 13] = max12(x[from + 13], log1p(one.mixS) / 3);
      continue;
    }
    const sinceS = now[AT_S] - now[BEGAN_S + one.cameWith];
    x[from + 7] = max12(x[from + 7], log1p(sinceS) / 3);
    x[from + 8] = max12(x[from + 8], log1p(max12(0, one.lagS - sinceS / 2)));
    x[from + 9] = max12(x[from + 9], log1p(max12(0, one.softS - sinceS / 2)) / 2);
    x[from + 10] = max12(x[from + 10], log1p(max12(0, one.brownS - sinceS / 2)) / 2);
    x[from + 11] = max12(x[from + 11], (one.coreK - sinceS) / 80);
    const leftS = one.lagS + one.softS + one.brownS + one.coreK / 2 - sinceS;
    x[from + 12] = max12(x[from + 12], log1p(max12(0, leftS)) / 2);
  }
}

// core/src/wok/quick/walk.ts
var EMPTY_M3 = 1e-9;
var FLAME_GIVES = 0.5;
function walk(way, { vessel, handling }, choice, factor, secondsOf2) {
  const preheatC = preheatToC(choice, vessel.holdC);
  const now = emptyVessel();
  let heat = heatFor(choice, "base", vessel.holdC);
  let segment = "base";
  for (let index = 0; index < way.length; index += 1) {
    const move = way[index];
    const { goes, leaves, waits } = move;
    if (move.segment !== segment) {
      segment = move.segment;
      heat = heatFor(choice, move.segment, vessel.holdC);
    }
    now[BEGAN_S + index] = now[AT_S];
    now[OIL_KG] += move.oilKg * factor;
    if (goes !== null) put(now, goes, factor, move);
    if (leaves !== null) take(now, leaves, factor);
    let seconds = move.seconds;
    if (waits !== null || move.isOil && index > 0 && now[VOLUME_M3] < EMPTY_M3) {
      const movement = MOVEMENT[move.handling ?? handlingFor(move.segment, handling)];
      writeFigures(vessel, heat, movement, preheatC, now, index, move, factor);
      const asked = secondsOf2(index);
      seconds += waits === null ? Math.max(0, asked) : Math.min(waits.mostS, Math.max(waits.leastS, asked));
    }
    now[OWED_J] = Math.max(0, now[OWED_J] - FLAME_GIVES * vessel.netW * heat.open * seconds);
    now[AT_S] += seconds;
  }
  return now[AT_S];
}
function put(now, goes, factor, { isSauce, isRice }) {
  now[J_PER_K] += factor * goes.jPerK;
  now[FREE_KG] += factor * goes.freeKg;
  now[VOLUME_M3] += factor * goes.volumeM3;
  now[LAYER_M2] += factor * goes.layerM2;
  now[OWED_J] += factor * goes.boilJ;
  now[COLD_J] += factor * goes.boilJ;
  now[COLD_AT_S] = now[AT_S];
  if (isSauce) now[SAUCE_KG] += factor * goes.freeKg;
  if (isRice && now[RICE_AT_S] < 0) now[RICE_AT_S] = now[AT_S];
}
function take(now, leaves, factor) {
  now[J_PER_K] = Math.max(0, now[J_PER_K] - factor * leaves.jPerK);
  now[FREE_KG] = Math.max(0, now[FREE_KG] - factor * leaves.freeKg);
  now[VOLUME_M3] = Math.max(0, now[VOLUME_M3] - factor * leaves.volumeM3);
  now[LAYER_M2] = Math.max(0, now[LAYER_M2] - factor * leaves.layerM2);
}

// core/src/wok/heat/usualStations.ts
var gasEfficiency = (powerW) => Math.min(0.35, Math.max(0.15, 0.32 - 0.12 * Math.log10(powerW / 3500)));

// core/src/test/stations.ts
function aWok(powerW, more = {}) {
  const diameterM = more.diameterM ?? 0.36;
  const isCoil = more.source === "induction";
  return {
    kind: "wok",
    diameterM,
    plateM: null,
    depthM: null,
    massKg: 1.6 * (diameterM / 0.36) ** 2,
    powerW,
    efficiency: isCoil ? 0.85 : gasEfficiency(powerW),
    source: "gas",
    holdC: isCoil ? 260 : powerW >= 15e3 ? 320 : 280,
    ...more
  };
}
var aGriddle = (thickM = 0.019) => ({
  kind: "griddle",
  diameterM: null,
  plateM: { width: 0.3, length: 0.6 },
  depthM: null,
  massKg: 0.3 * 0.6 * thickM * 7850,
  powerW: 9e3,
  efficiency: 0.45,
  source: "gas",
  holdC: 230
});
var HOB = aWok(3500);
var RING = aWok(25e3);

// core/src/test/wokDishes.ts
var PLAIN = [
  { id: "rice", role: "rice", ratioG: 100 },
  { id: "egg", role: "egg", ratioG: 14 },
  { id: "garlic", role: "aromatic", ratioG: 1 },
  { id: "salt", role: "drySeasoning", ratioG: 0.4 },
  { id: "soy", role: "liquidSeasoning", ratioG: 1.5 },
  { id: "scallion", role: "finish", ratioG: 3 },
  { id: "oil", role: "fat", ratioG: 3 }
];
var SHRIMP = {
  id: "shrimp",
  role: "protein",
  food: "seafood",
  ratioG: 25,
  cut: { sizeMm: 13 }
};
var CHICKEN = {
  id: "chicken",
  role: "protein",
  food: "poultry",
  ratioG: 25,
  cut: { sizeMm: 6 }
};
var DUCK = { id: "duck", role: "protein", food: "poultry", state: "cooked", ratioG: 18 };
var ONION = { id: "onion", role: "aromatic", food: "allium", ratioG: 10 };
var CARROT = {
  id: "carrot",
  role: "vegetable",
  food: "hardVeg",
  ratioG: 8,
  cut: { sizeMm: 4 }
};
var GREENS = { id: "greens", role: "vegetable", food: "leafy", ratioG: 12 };
var PEAS = { id: "peas", role: "vegetable", food: "peas", state: "frozen", ratioG: 8 };
var PASTE = { id: "paste", role: "paste", ratioG: 4 };
function aBatch(more = [], schools = {}, rest = {}) {
  const { dish, ...others } = rest;
  return {
    station: HOB,
    handling: "stir",
    batchMassG: 280,
    riceTempC: 5,
    rules: { ruleSet: "us" },
    ...others,
    dish: { name: "a dish", schools, components: [...PLAIN, ...more], ...dish }
  };
}

// tools/fit/drawBatch.ts
var MORE = [
  SHRIMP,
  CHICKEN,
  DUCK,
  ONION,
  CARROT,
  GREENS,
  PEAS,
  PASTE,
  { id: "beef", role: "protein", food: "meat", state: "marinated", ratioG: 20, cut: { sizeMm: 4 } },
  { id: "ham", role: "protein", food: "cured", readyToEat: true, ratioG: 12 },
  { id: "mince", role: "protein", food: "mince", ratioG: 15, cut: { sizeMm: 5 } },
  { id: "tofu", role: "protein", food: "tofu", state: "cooked", ratioG: 14 },
  { id: "mushroom", role: "vegetable", food: "mushroom", ratioG: 10 },
  { id: "stems", role: "vegetable", food: "stem", ratioG: 8 },
  { id: "ginger", role: "aromatic", food: "ginger", ratioG: 1.5 },
  { id: "corn", role: "vegetable", food: "readyVeg", ratioG: 10 },
  { id: "tomato", role: "vegetable", food: "softVeg", ratioG: 12 }
];
function drawBatch(random) {
  const between = (least, most) => least + (most - least) * random();
  const isGriddle = random() < 0.25;
  const station = isGriddle ? drawGriddle(between) : drawWok(random, between);
  const components = [...PLAIN, ...MORE.filter(() => random() < 0.25)].filter(({ id }) => id === "rice" || random() < 0.9).map((one) => one.id === "rice" ? one : drawnLine(one, between));
  const fullG = isGriddle ? 900 : 900 * ((station.diameterM ?? 0.36) / 0.36) ** 2 * Math.min(1, Math.sqrt(station.powerW / 2e4));
  return aBatch(
    [],
    {},
    {
      station,
      handling: isGriddle ? "flip" : random() < 0.6 ? "toss" : "stir",
      batchMassG: fullG * between(0.15, 0.95),
      riceTempC: between(2, 18),
      riceWaterFraction: between(0.58, 0.66),
      dish: { components }
    }
  );
}
function drawnLine(one, between) {
  const sizeMm = one.cut?.sizeMm;
  return {
    ...one,
    ratioG: one.ratioG * between(0.6, 1.5),
    ...sizeMm && { cut: { sizeMm: sizeMm * between(0.6, 1.4) } }
  };
}
function drawGriddle(between) {
  const width = between(0.25, 0.45);
  const length = between(0.4, 0.7);
  return {
    ...aGriddle(),
    plateM: { width, length },
    massKg: width * length * between(0.012, 0.024) * 7850,
    powerW: between(5e3, 13e3)
  };
}
function drawWok(random, between) {
  const diameterM = between(0.28, 0.46);
  return random() < 0.15 ? aWok(between(2500, 6500), { diameterM, source: "induction" }) : aWok(2500 * 12 ** random(), { diameterM });
}

// tools/fit/samples.ts
function drawSamples(dishes, random) {
  const samples2 = [];
  const pick = (some) => some[Math.floor(random() * some.length)];
  for (let n = 0; n < dishes; n += 1) {
    const input = drawBatch(random);
    for (const part3 of [1, 0.4 + 0.5 * random()]) {
      const derived = derive({ ...input, batchMassG: input.batchMassG * part3 });
      if (derived.kind === "derived")
        keep(samples2, derived.best.run, derived.best.moves, derived.parts, derived.station);
    }
    const { dish, parts: parts2, station } = startDeriving(input);
    const axes = axesOf(dish.schools, parts2, station);
    const major = pick(majorChoices(axes, {}));
    const choice = random() < 0.5 ? pick([major, ...minorChanges(major, axes)]) : major;
    const moves = movesOf(parts2, choice);
    keep(samples2, simulate(parts2, choice, moves, station, "fine"), moves, parts2, station);
  }
  return samples2;
}
function keep(samples2, run, moves, parts2, station) {
  if (run.preheatS === null || run.rice.doneS === null) return;
  const way = preparedWay(moves, parts2);
  walk(way, station, run.choice, 1, (index) => {
    const { startS, endS, waitedS } = run.moves[index];
    const tookS = way[index].waits ? endS - startS : waitedS;
    samples2.push({ x: Float64Array.from(figures), logS: Math.log(Math.max(0, tookS) + 1) });
    return tookS;
  });
}

// core/src/wok/quick/moveNet.ts
var HIDDEN = 24;
var WEIGHTS = HIDDEN * (FIGURES + 1) + HIDDEN + 1;
var softsign = (a) => a / (1 + Math.abs(a));

// tools/fit/train.ts
var BATCH = 64;
var FASTEST = 3e-3;
var SLOWEST = 1e-5;
var HUBER = 0.5;
var OUT = HIDDEN * (FIGURES + 1);
var weightOf = (logS) => 0.2 + Math.exp(logS) / 60;
function train(samples2, rounds, random) {
  const weights2 = Float64Array.from(
    { length: WEIGHTS },
    (_, i) => i >= OUT ? normal(random) / Math.sqrt(HIDDEN) : normal(random) / Math.sqrt(FIGURES)
  );
  weights2[WEIGHTS - 1] = 3;
  const mean = new Float64Array(WEIGHTS);
  const square = new Float64Array(WEIGHTS);
  const slope = new Float64Array(WEIGHTS);
  let step = 0;
  for (let round2 = 0; round2 < rounds; round2 += 1) {
    const rate2 = SLOWEST + FASTEST * 0.5 * (1 + Math.cos(Math.PI * round2 / rounds));
    shuffle(samples2, random);
    let error = 0;
    for (let from = 0; from + BATCH <= samples2.length; from += BATCH) {
      slope.fill(0);
      for (let k = from; k < from + BATCH; k += 1) error += addSlope(samples2[k], weights2, slope);
      step += 1;
      for (let i = 0; i < WEIGHTS; i += 1) {
        const one = slope[i] / BATCH;
        mean[i] = 0.9 * mean[i] + 0.1 * one;
        square[i] = 0.999 * square[i] + 1e-3 * one * one;
        weights2[i] -= rate2 * mean[i] / (1 - 0.9 ** step) / (Math.sqrt(square[i] / (1 - 0.999 ** step)) + 1e-8);
      }
    }
    console.log(`round ${round2 + 1} of ${rounds}: ${(error / samples2.length).toFixed(5)}`);
  }
  return weights2;
}
var bent = new Float64Array(HIDDEN);
function addSlope({ x, logS }, weights2, slope) {
  let sum = weights2[WEIGHTS - 1];
  for (let unit = 0; unit < HIDDEN; unit += 1) {
    const at3 = unit * (FIGURES + 1);
    let a = weights2[at3 + FIGURES];
    for (let i = 0; i < FIGURES; i += 1) a += weights2[at3 + i] * x[i];
    bent[unit] = softsign(a);
    sum += bent[unit] * weights2[OUT + unit];
  }
  const off = sum - logS;
  const weight = weightOf(logS);
  const pulls = Math.max(-HUBER, Math.min(HUBER, off)) * weight;
  slope[WEIGHTS - 1] += pulls;
  for (let unit = 0; unit < HIDDEN; unit += 1) {
    const at3 = unit * (FIGURES + 1);
    slope[OUT + unit] += pulls * bent[unit];
    const inner = pulls * weights2[OUT + unit] * (1 - Math.abs(bent[unit])) ** 2;
    for (let i = 0; i < FIGURES; i += 1) slope[at3 + i] += inner * x[i];
    slope[at3 + FIGURES] += inner;
  }
  return off * off * weight;
}
function shuffle(some, random) {
  for (let i = some.length - 1; i > 0; i -= 1) {
    const j = Math.floor(random() * (i + 1));
    const one = some[i];
    some[i] = some[j];
    some[j] = one;
  }
}

// tools/fit/main.ts
var DISHES = Number(process.argv[2] ?? 5e3);
var ROUNDS = Number(process.argv[3] ?? 40);
var samples = drawSamples(DISHES, lcg(99));
console.log(`${samples.length} moves of ${DISHES} dishes`);
var weights = train(samples, ROUNDS, lcg(4));
var perMille = Array.from(weights, (one) => Math.round(one * 1e3));
var lines = Array.from(
  { length: Math.ceil(perMille.length / 24) },
  (_, n) => `  ${perMille.slice(n * 24, n * 24 + 24).join(", ")},`
);
writeFileSync(
  new URL("../../core/src/wok/quick/weights.ts", import.meta.url),
  `// Written by npm run fit-quick: ${samples.length} moves of ${DISHES} dishes, ${ROUNDS} rounds.
/** Weights of the net in \`moveNet\`, in thousandths. */
// prettier-ignore
export const FITTED_PER_MILLE: readonly number[] = [
${lines.join("\n")}
]
`
);
