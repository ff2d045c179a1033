import type { Price } from 'core/book/balance/cost'

type Bought = [id: string, packName: string, packG: number, priceMinor: number]

/** What the sample kitchen buys and pays, made up by us, in cents: pack, grams as bought, price. */
const BOUGHT: Bought[] = [
  ['rice-long-raw', 'sack 20 kg', 20_000, 2680],
  ['rice-long-chilled-dry', 'house rice, 8 kg cooked', 8_000, 560],
  ['egg-whole', 'tray of 30', 1_740, 840],
  ['egg-white', 'carton 2 kg', 2_000, 1090],
  ['duck-roast', 'whole roast duck', 1_900, 1850],
  ['crab-cooked', 'tub of picked crab 450 g', 450, 1690],
  ['chicken-thigh-raw', 'box 5 kg', 5_000, 3200],
  ['pork-belly-raw', 'slab 4 kg', 4_000, 3440],
  ['fish-salted', 'packet 500 g', 500, 890],
  ['oyster-mushroom', 'crate 2 kg', 2_000, 1680],
  ['kimchi', 'bucket 5 kg', 5_000, 2750],
  ['mustard-greens-pickled', 'bag 1 kg', 1_000, 420],
  ['cauliflower', 'crate of 8', 6_400, 1440],
  ['pak-choi', 'box 5 kg', 5_000, 1550],
  ['lettuce', 'crate of 12', 6_000, 1380],
  ['onion', 'sack 10 kg', 10_000, 890],
  ['spring-onion', 'bunch of 8, box of 10', 1_200, 690],
  ['garlic', 'peeled 1 kg', 1_000, 640],
  ['ginger', 'box 2 kg', 2_000, 780],
  ['chilli-fresh', 'box 1 kg', 1_000, 560],
  ['curry-leaf', 'bunch box 250 g', 250, 480],
  ['peanut-raw', 'bag 5 kg', 5_000, 1980],
  ['sesame-toasted', 'jar 500 g', 500, 460],
  ['black-bean-fermented', 'jar 500 g', 500, 390],
  ['oil-rapeseed', 'drum 20 L', 18_400, 3950],
  ['oil-sesame-toasted', 'bottle 1.8 L', 1_656, 1590],
  ['butter-unsalted', 'block 250 g, case of 20', 5_000, 4100],
  ['soy-sauce-light', 'can 5 L', 6_000, 1490],
  ['soy-sauce-dark', 'bottle 1.8 L', 2_300, 760],
  ['oyster-type-sauce', 'tub 2.3 kg', 2_300, 890],
  ['fish-sauce', 'bottle 4.5 L', 5_400, 1180],
  ['rice-wine', 'bottle 5 L', 4_975, 1350],
  ['vinegar-black', 'bottle 550 mL', 560, 280],
  ['lime-juice', 'bottle 1 L', 1_030, 520],
  ['sugar-white', 'sack 10 kg', 10_000, 1090],
  ['salt-fine', 'sack 10 kg', 10_000, 520],
  ['pepper-white', 'tub 500 g', 500, 990],
  ['curry-powder', 'tub 1 kg', 1_000, 1150],
  ['starch-maize', 'bag 5 kg', 5_000, 830],
  ['glutamate', 'bag 1 kg', 1_000, 540],
  ['chilli-paste-fermented', 'tub 3 kg', 3_000, 1620],
  ['scallop-raw', 'box 1 kg', 1_000, 2890],
  ['shrimp-raw', 'box 2 kg', 2_000, 2380],
]

/** Prices by ingredient; the year began three per cent lower. */
export const DEMO_PRICES: Readonly<Record<string, Price[]>> = Object.fromEntries(
  BOUGHT.map(([id, packName, packG, priceMinor]) => [
    id,
    [
      { fromDay: '2026-09-01', packName, packG, priceMinor },
      { fromDay: '2026-01-05', packName, packG, priceMinor: Math.round(priceMinor * 0.97) },
    ],
  ]),
)
