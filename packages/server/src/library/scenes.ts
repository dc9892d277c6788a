/** What is drawn in the pictures of the library, each with its words. */
import {
  at,
  band,
  birds,
  boat,
  buoy,
  chance,
  compass,
  contours,
  crab,
  disc,
  fish,
  footprint,
  ground,
  HEIGHT,
  kelp,
  knot,
  lens,
  lighthouse,
  line,
  notebook,
  path,
  post,
  rain,
  reeds,
  ridge,
  shell,
  starfish,
  stars,
  waves,
  WIDTH,
} from './shapes.ts';

/** Many of one thing, spread by chance. */
function many(count: number, seed: number, one: (next: () => number, index: number) => string): string {
  const next = chance(seed);
  return Array.from({ length: count }, (_, index) => one(next, index)).join('');
}

export const SCENES: readonly (readonly [
  id: string,
  title: string,
  alt: string,
  tags: readonly string[],
  draw: () => string,
])[] = [
  [
    'mudflat-morning',
    'Mudflat in the morning',
    'A wide mudflat with shining channels under a low sun',
    ['estuary', 'mud', 'morning', 'tide'],
    () =>
      ground('#f2dcc0') +
      disc(1180, 300, 92, '#fbf3df') +
      ridge(470, 90, '#c7a98b', 4) +
      band(460, 540, '#a98b73') +
      line('M700 470C760 560 520 600 640 720S420 880 560 1010', '#f2dcc0', 46) +
      line('M1100 470C1040 560 1260 610 1130 740S1340 880 1220 1010', '#e6c9a6', 34) +
      ridge(900, 60, '#7d6251', 9) +
      birds(9, 420, 260, 160, '#7d6251', 3),
  ],
  [
    'salt-marsh',
    'Salt marsh',
    'Green salt marsh with a winding creek',
    ['marsh', 'plants', 'estuary', 'green'],
    () =>
      ground('#d5e6e0') +
      ridge(380, 120, '#9fbfae', 12) +
      ridge(520, 80, '#6f9a6f', 7) +
      ridge(640, 60, '#56803f', 21) +
      line('M820 540C700 640 1080 690 880 800S620 900 760 1010', '#bfe0e6', 64) +
      reeds(0, 520, 1000, 46, ['#3f6130', '#56803f', '#88a04a'], 5) +
      reeds(1180, 420, 1000, 34, ['#3f6130', '#88a04a'], 8),
  ],
  [
    'sail-at-dusk',
    'Sail at dusk',
    'A small sailing boat on a violet sea',
    ['boat', 'sea', 'evening', 'sailing'],
    () =>
      ground('#e8b8a0') +
      disc(460, 470, 140, '#f7e0c0') +
      band(560, 440, '#5b4a78') +
      waves(590, 1000, '#8a74a3', 6) +
      at(1020, 600, 1.5, boat('#2c2140', '#f4ead8')),
  ],
  [
    'lighthouse',
    'Lighthouse',
    'A red and white lighthouse on a dark headland',
    ['coast', 'light', 'headland', 'navigation'],
    () =>
      ground('#bcd9e4') +
      ridge(520, 110, '#8fb6c6', 31) +
      band(560, 440, '#3f7f98') +
      waves(600, 1000, '#71a7bb', 14) +
      path('M900 1000C960 760 1080 690 1240 660S1520 700 1600 760V1000Z', '#2e3f3a') +
      at(1270, 668, 1.7, lighthouse('#fbf6ec', '#b23a2e', '#f6d77a')) +
      birds(6, 480, 260, 200, '#2e3f3a', 8),
  ],
  [
    'night-over-water',
    'Night over water',
    'Stars and a moon above still water',
    ['night', 'stars', 'sky', 'astronomy'],
    () =>
      ground('#141d3c') +
      stars(220, 640, '#f2ecd2', 17) +
      disc(1160, 250, 84, '#f2ecd2') +
      disc(1196, 232, 76, '#141d3c') +
      ridge(680, 120, '#0d142b', 23) +
      band(700, 300, '#22305c') +
      waves(730, 1000, '#4a5b94', 3),
  ],
  [
    'rock-pool',
    'Rock pool',
    'A starfish and shells in a clear rock pool',
    ['shore', 'animals', 'starfish', 'shell'],
    () =>
      ground('#75675c') +
      path('M140 520C120 180 620 90 900 130S1540 250 1480 600S1040 940 640 900S160 800 140 520Z', '#4fa3a5') +
      path(
        'M240 520C230 250 640 170 890 205S1420 300 1380 580S1010 850 660 820S250 740 240 520Z',
        '#7cc7c2',
      ) +
      at(620, 470, 1.5, starfish('#e2733c', '#f8d7b4'), 14) +
      at(1030, 600, 1.1, shell('#f3e3cf', '#c9a98c'), -20) +
      at(1130, 370, 0.8, shell('#f6d7d0', '#c58f86'), 30),
  ],
  [
    'shore-crab',
    'Shore crab',
    'A green crab on wet sand',
    ['crab', 'animals', 'shore', 'sand'],
    () =>
      ground('#e4d2b0') +
      ridge(330, 60, '#d2bb92', 5) +
      many(60, 9, (next) => disc(next() * WIDTH, 360 + next() * 640, 3 + next() * 8, '#c9b087')) +
      at(820, 640, 3, crab('#5d7f4b', '#34502b')),
  ],
  [
    'kelp-forest',
    'Kelp forest',
    'Tall brown kelp with fish between it',
    ['kelp', 'underwater', 'fish', 'plants'],
    () =>
      ground('#0f5a6b') +
      band(0, 260, '#1f7f8d') +
      many(9, 4, (next, index) =>
        at(
          80 + index * 185 + next() * 60,
          1040,
          1.15 + next() * 0.4,
          kelp(index % 2 === 0 ? '#8a7a2c' : '#5f6a24', 60 - next() * 120),
        ),
      ) +
      many(14, 8, (next) =>
        at(
          200 + next() * 1200,
          180 + next() * 600,
          0.35 + next() * 0.4,
          fish('#f0b95a', '#3b2a10'),
          next() * 20 - 10,
        ),
      ),
  ],
  [
    'shoal',
    'Shoal',
    'Many silver fish swimming one way',
    ['fish', 'underwater', 'animals', 'sea'],
    () =>
      ground('#17507a') +
      path('M0 0H1600V300C1200 380 700 220 0 340Z', '#2a6f9c') +
      many(54, 12, (next) =>
        at(
          next() * WIDTH,
          120 + next() * 780,
          0.45 + next() * 0.5,
          fish('#c9dbe6', '#17324a'),
          next() * 14 - 7,
        ),
      ),
  ],
  [
    'field-notebook',
    'Field notebook',
    'An open notebook with lines of writing and a small graph',
    ['notes', 'writing', 'method', 'fieldwork'],
    () =>
      ground('#8a6f4e') +
      many(30, 5, (next) =>
        line(
          `M0 ${(next() * HEIGHT).toFixed(0)}C500 ${(next() * HEIGHT).toFixed(0)} 900 ${(next() * HEIGHT).toFixed(0)} 1600 ${(next() * HEIGHT).toFixed(0)}`,
          '#7b6143',
          4,
        ),
      ) +
      at(800, 500, 3.1, notebook('#243f36', '#f8f2e2', '#47607a'), -5),
  ],
  [
    'compass',
    'Compass',
    'A brass compass on a chart',
    ['navigation', 'map', 'direction', 'instrument'],
    () =>
      ground('#e9e2cc') +
      contours(520, 420, 10, '#b9c6bb', 6) +
      contours(1320, 860, 6, '#c9b99a', 11) +
      at(980, 520, 2.6, compass('#a8720a', '#fbf6e6', '#b0352a', '#3d4f5c')),
  ],
  [
    'chart',
    'Chart of a bay',
    'Depth lines of a bay, blue on pale',
    ['map', 'chart', 'bathymetry', 'data'],
    () =>
      ground('#dfeaec') +
      contours(560, 460, 14, '#4f8aa3', 3) +
      path('M1180 0C1120 240 1340 330 1290 560S1430 860 1380 1000H1600V0Z', '#e6d9b6') +
      line('M1180 0C1120 240 1340 330 1290 560S1430 860 1380 1000', '#8b7a4e', 8),
  ],
  [
    'rain-coming',
    'Rain over the water',
    'Slanting rain over grey water',
    ['weather', 'rain', 'storm', 'climate'],
    () =>
      ground('#9aa7b2') +
      path('M0 0H1600V260C1400 340 1200 240 1000 310S640 250 420 320S140 260 0 330Z', '#6b7986') +
      band(660, 340, '#4f6472') +
      waves(690, 1000, '#7b909d', 19) +
      rain('#dfe7ec', 7),
  ],
  [
    'buoy',
    'Channel buoy',
    'A red buoy leaning in the current',
    ['sea', 'navigation', 'current', 'boat'],
    () =>
      ground('#cfe4ea') +
      ridge(450, 70, '#a9c6cf', 15) +
      band(500, 500, '#2f7d8f') +
      waves(530, 1000, '#63a5b3', 27) +
      at(860, 690, 2.1, buoy('#c2461e', '#fbe9d2'), 9),
  ],
  [
    'tide-posts',
    'Tide posts',
    'Marked posts in a row, going into the water',
    ['tide', 'measuring', 'gauge', 'method'],
    () =>
      ground('#f4e6cf') +
      band(430, 570, '#88b0ac') +
      waves(460, 1000, '#b6d2cd', 5) +
      many(6, 2, (_, index) =>
        at(220 + index * 235, 560 + index * 62, 0.62 + index * 0.2, post('#5a4636', '#f6efdf')),
      ),
  ],
  [
    'footprints',
    'Footprints',
    'Footprints crossing wet sand',
    ['sand', 'walking', 'beach', 'people'],
    () =>
      ground('#e9d6b4') +
      path('M0 0H1600V240C1200 330 800 190 400 290S120 260 0 300Z', '#8fc0c4') +
      path('M0 280C300 240 700 330 1100 270S1500 250 1600 280V330C1200 390 700 280 0 350Z', '#f7f1e2') +
      many(8, 6, (_, index) =>
        at(260 + index * 150, 900 - index * 66, 1.1, footprint('#c9ae84'), 62 + (index % 2) * 12),
      ),
  ],
  [
    'reed-bed',
    'Reed bed',
    'Reeds against a pale sky',
    ['plants', 'marsh', 'birds', 'wetland'],
    () =>
      ground('#f5edd8') +
      disc(380, 330, 120, '#f0c987') +
      reeds(-20, 1640, 1010, 120, ['#7a6a34', '#a38c46', '#51602e', '#c2a862'], 14) +
      birds(7, 1060, 250, 220, '#51602e', 5),
  ],
  [
    'hand-lens',
    'Hand lens',
    'A hand lens over a shell',
    ['method', 'looking', 'instrument', 'science'],
    () =>
      ground('#d9e2dc') +
      many(26, 3, (next) =>
        at(next() * WIDTH, next() * HEIGHT, 0.3 + next() * 0.3, shell('#c2cdc4', '#aab8ad'), next() * 360),
      ) +
      at(800, 440, 3.1, lens('#37474f', '#eef6f2')) +
      at(800, 480, 1.5, shell('#e9c7a6', '#9a7350')),
  ],
  [
    'sea-cliff',
    'Sea cliff',
    'Layers of rock in a cliff above the sea',
    ['geology', 'rock', 'cliff', 'coast'],
    () =>
      ground('#d8e6ea') +
      band(760, 240, '#3c6f86') +
      waves(790, 1000, '#6c9cb0', 4) +
      ['#8d5a3b', '#a8714a', '#c08a5a', '#9a6342', '#7b4c33']
        .map((colour, index) =>
          path(
            `M0 ${180 + index * 120}C260 ${150 + index * 120} 520 ${230 + index * 118} 820 ${210 + index * 116}L${1020 + index * 34} ${300 + index * 100}L${980 + index * 50} 800H0Z`,
            colour,
          ),
        )
        .join('') +
      birds(8, 1280, 320, 160, '#38444a', 11),
  ],
  [
    'knot',
    'A knot',
    'A rope tied in a knot',
    ['rope', 'boat', 'seamanship', 'craft'],
    () => ground('#24506a') + band(0, 1000, '#24506a') + at(800, 520, 2.9, knot('#e7d3a3', '#8d7340')),
  ],
  [
    'dunes',
    'Dunes',
    'Dunes with grass on them',
    ['dune', 'sand', 'grass', 'coast'],
    () =>
      ground('#bfdfe8') +
      disc(1240, 220, 80, '#fbe8b4') +
      ridge(520, 110, '#eedcb2', 33) +
      ridge(700, 150, '#e0c791', 18) +
      // Grass grows from behind the next dune.
      reeds(120, 380, 800, 26, ['#7f8f4a', '#95a45c'], 2) +
      ridge(800, 110, '#cfb177', 25) +
      reeds(980, 480, 930, 34, ['#6f803f', '#95a45c'], 7) +
      ridge(930, 70, '#c2a268', 31),
  ],
  [
    'harbour',
    'Small harbour',
    'Boats lying in a small harbour',
    ['boat', 'harbour', 'people', 'sea'],
    () =>
      ground('#f0d9bd') +
      ridge(380, 110, '#b58566', 6) +
      band(430, 570, '#4f8b9a') +
      waves(460, 1000, '#7db2be', 22) +
      at(360, 560, 0.9, boat('#2f3f50', '#f4ead8')) +
      at(780, 640, 1.25, boat('#8d3b2c', '#fbf3df')) +
      at(1280, 760, 1.7, boat('#21463b', '#f6e4b8')),
  ],
  [
    'sunflower-stars',
    'Starfish',
    'Three starfish, orange, red and violet',
    ['starfish', 'animals', 'shore', 'biology'],
    () =>
      ground('#1f6f7a') +
      many(40, 10, (next) => disc(next() * WIDTH, next() * HEIGHT, 4 + next() * 16, '#2a8791')) +
      at(420, 520, 2.4, starfish('#e58a3a', '#fbe3bf'), 8) +
      at(900, 420, 1.8, starfish('#c0392f', '#f4c9bf'), 40) +
      at(1270, 640, 2.1, starfish('#8057a0', '#e3d3ee'), -16),
  ],
  [
    'winter-shore',
    'Winter shore',
    'A white shore under a slate sky',
    ['winter', 'snow', 'weather', 'coast'],
    () =>
      ground('#8593a3') +
      disc(380, 260, 70, '#dfe5ea') +
      ridge(480, 160, '#aab6c2', 13) +
      band(560, 200, '#4a5c70') +
      waves(580, 760, '#76889b', 9) +
      ridge(820, 90, '#eef2f5', 29) +
      many(90, 15, (next) => disc(next() * WIDTH, next() * HEIGHT, 2 + next() * 5, '#ffffff')),
  ],
];
