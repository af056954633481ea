/** Scenes drawn for Alvex (MIT, as all of it), 1600 by 1000. */
import {
  disc,
  gear,
  hills,
  house,
  line,
  path,
  person,
  poly,
  rect,
  times,
  tree,
  turned,
  waves,
  type Draw,
} from './brushes.ts';

/** Its name, what it shows, words by which it is found, and how it is drawn. */
export const SCENES: readonly (readonly [name: string, shows: string, tags: string, draw: Draw])[] = [
  [
    'tide',
    'Waves under a moon',
    'water sea wave tide moon night harbour',
    (k) =>
      disc(1180, 260, 130, k.pale) +
      disc(1235, 230, 120, k.sky) +
      waves(560, k.far) +
      waves(690, k.a) +
      waves(830, k.dark),
  ],
  [
    'mill',
    'A mill with its wheel in the water',
    'mill wheel water building energy work',
    (k) =>
      hills(520, k.far) +
      house(560, 470, 520, 300, k.pale, k.b, k.dark) +
      times(8, (i) => turned(i * 45, 480, 690, rect(466, 470, 28, 220, k.dark) + rect(440, 462, 80, 40, k.a))) +
      disc(480, 690, 46, k.dark) +
      line('M480 500a190 190 0 1 1 -1 0', k.dark, 18) +
      waves(800, k.a),
  ],
  [
    'gears',
    'Three gears in each other',
    'gear work machine process tool repair system',
    (k) => gear(620, 560, 260, k.a, k.sky) + gear(1020, 380, 170, k.b, k.sky) + gear(1080, 740, 140, k.c, k.sky),
  ],
  [
    'harvest',
    'Ears of grain in a field',
    'grain field nature food harvest growth bread',
    (k) =>
      disc(1250, 260, 120, k.b) +
      hills(640, k.far) +
      times(13, (i) => {
        const x = 130 + i * 112;
        return (
          line(`M${x} 1000Q${x + 20} 700 ${x + 6} 430`, k.a, 12) +
          times(
            5,
            (j) =>
              turned(
                -35,
                x,
                470 + j * 52,
                `<ellipse cx="${x - 8}" cy="${470 + j * 52}" rx="17" ry="38" fill="${k.b}"/>`,
              ) +
              turned(
                35,
                x,
                470 + j * 52,
                `<ellipse cx="${x + 22}" cy="${470 + j * 52}" rx="17" ry="38" fill="${k.b}"/>`,
              ),
          )
        );
      }),
  ],
  [
    'bridge',
    'A bridge of three arches',
    'bridge river road travel connection building stone',
    (k) =>
      hills(430, k.far) +
      waves(760, k.a) +
      path(
        'M0 520H1600V640H1500a150 170 0 0 0 -300 0V860H1130V640a150 170 0 0 0 -300 0H760V860H690V640a150 170 0 0 0 -300 0H320V860H250V640H0Z',
        k.dark,
      ) +
      rect(0, 490, 1600, 36, k.b),
  ],
  [
    'boats',
    'Two boats in a harbour',
    'boat ship sea harbour travel sail wind',
    (k) =>
      disc(300, 260, 100, k.b) +
      waves(640, k.far) +
      poly('520,620 520,220 760,560', k.pale) +
      poly('500,620 500,280 330,580', k.a) +
      path('M300 640H800L720 740H380Z', k.dark) +
      poly('1120,680 1120,400 1290,640', k.b) +
      path('M980 700H1350L1290 780H1040Z', k.dark) +
      waves(800, k.a),
  ],
  [
    'hills',
    'Hills under a low sun',
    'nature mountain landscape field morning start sun',
    (k) => disc(1080, 430, 170, k.b) + hills(520, k.far) + hills(640, k.c, 300) + hills(770, k.a, -200),
  ],
  [
    'mountains',
    'Mountains with snow',
    'mountain goal success height travel challenge',
    (k) =>
      poly('100,1000 640,260 1180,1000', k.far) +
      poly('520,1000 1060,180 1700,1000', k.a) +
      poly('1060,180 930,378 1040,350 1100,420 1190,330', k.pale) +
      line('M1060 180V90', k.dark, 10) +
      poly('1060,90 1160,120 1060,150', k.b),
  ],
  [
    'forest',
    'Trees in a row',
    'tree forest nature leaf environment climate wood',
    (k) =>
      hills(700, k.far) +
      times(7, (i) => tree(140 + i * 220, 820 + (i % 2) * 60, 420 - (i % 3) * 60, [k.a, k.c, k.b][i % 3]!, k.dark)) +
      rect(0, 870, 1600, 130, k.far),
  ],
  [
    'village',
    'Houses by a road',
    'home house village city building community neighbour',
    (k) =>
      hills(560, k.far) +
      house(150, 560, 300, 260, k.pale, k.b, k.dark) +
      house(540, 500, 340, 320, k.a, k.dark, k.pale) +
      house(990, 580, 280, 240, k.pale, k.c, k.dark) +
      tree(1400, 830, 330, k.a, k.dark) +
      rect(0, 820, 1600, 180, k.dark) +
      times(8, (i) => rect(60 + i * 210, 900, 110, 16, k.pale)),
  ],
  [
    'city',
    'Tall buildings in the evening',
    'city building office business company skyline',
    (k) =>
      times(9, (i) => {
        const h = [420, 600, 500, 700, 380, 560, 640, 460, 520][i]!;
        const x = 40 + i * 172;
        return (
          rect(x, 900 - h, 150, h, [k.a, k.dark, k.c][i % 3]!) +
          times(
            Math.floor(h / 90),
            (r) =>
              rect(x + 26, 930 - h + r * 84, 34, 40, k.pale) +
              rect(x + 90, 930 - h + r * 84, 34, 40, r % 2 ? k.b : k.pale),
          )
        );
      }) + rect(0, 900, 1600, 100, k.dark),
  ],
  [
    'meeting',
    'People round a table',
    'people team meeting group discussion decision vote volunteer',
    (k) =>
      person(380, 640, 380, k.a) +
      person(800, 580, 380, k.b) +
      person(1220, 640, 380, k.c) +
      `<ellipse cx="800" cy="800" rx="660" ry="180" fill="${k.dark}"/>` +
      rect(620, 720, 130, 90, k.pale) +
      rect(900, 740, 150, 80, k.pale),
  ],
  [
    'crowd',
    'Many people side by side',
    'people visitor community audience public crowd gens',
    (k) =>
      times(9, (i) => person(120 + i * 175, 760, 300, k.far)) +
      times(8, (i) => person(200 + i * 175, 880, 330, [k.a, k.b, k.c][i % 3]!)) +
      rect(0, 880, 1600, 120, k.dark),
  ],
  [
    'calendar',
    'A calendar with a day marked',
    'calendar time date plan schedule month year',
    (k) =>
      rect(420, 220, 760, 640, k.pale, 24) +
      rect(420, 220, 760, 150, k.a, 24) +
      rect(420, 320, 760, 50, k.a) +
      rect(560, 160, 40, 130, k.dark, 20) +
      rect(1000, 160, 40, 130, k.dark, 20) +
      times(15, (i) => rect(480 + (i % 5) * 135, 430 + Math.floor(i / 5) * 135, 96, 90, i === 8 ? k.b : k.far, 8)),
  ],
  [
    'clock',
    'A clock',
    'time clock hour duration deadline schedule',
    (k) =>
      disc(800, 500, 360, k.a) +
      disc(800, 500, 300, k.pale) +
      times(12, (i) => turned(i * 30, 800, 500, rect(790, 220, 20, 60, k.dark))) +
      line('M800 500V300', k.dark, 28) +
      line('M800 500L940 600', k.b, 28) +
      disc(800, 500, 34, k.dark),
  ],
  [
    'coins',
    'Coins in rising piles',
    'money cost budget price finance growth bank saving',
    (k) =>
      times(4, (i) =>
        times(
          2 + i * 2,
          (j) => `<ellipse cx="${330 + i * 310}" cy="${820 - j * 62}" rx="125" ry="46" fill="${j % 2 ? k.b : k.a}"/>`,
        ),
      ) + rect(120, 850, 1360, 20, k.dark),
  ],
  [
    'chart',
    'Bars that rise and a line above them',
    'chart growth data result number report success',
    (k) =>
      times(6, (i) => rect(250 + i * 190, 760 - i * 80, 120, 100 + i * 80, i === 5 ? k.b : k.a)) +
      line('M300 620L490 560L680 500L870 360L1060 330L1250 220', k.dark, 16) +
      rect(180, 860, 1240, 18, k.dark),
  ],
  [
    'tools',
    'A spanner and a hammer',
    'tool repair work build mend maintenance craft',
    (k) =>
      turned(
        -38,
        640,
        520,
        rect(590, 300, 100, 560, k.a, 40) + disc(640, 280, 140, k.a) + rect(595, 120, 90, 160, k.sky),
      ) + turned(36, 1000, 520, rect(960, 300, 80, 560, k.b, 30) + rect(820, 220, 360, 140, k.dark, 20)),
  ],
  [
    'books',
    'Books on a shelf',
    'book school learn education history knowledge lesson',
    (k) =>
      times(9, (i) => {
        const h = [520, 600, 480, 560, 620, 500, 580, 540, 460][i]!;
        return (
          rect(220 + i * 125, 800 - h, 105, h, [k.a, k.b, k.c, k.dark][i % 4]!, 6) +
          rect(240 + i * 125, 850 - h, 65, 20, k.pale)
        );
      }) + rect(140, 800, 1320, 40, k.dark),
  ],
  [
    'lamp',
    'A lamp that shines',
    'idea light lamp innovation energy question solution',
    (k) =>
      times(9, (i) => turned(-100 + i * 25, 800, 440, rect(790, 40, 20, 110, k.b, 10))) +
      disc(800, 440, 230, k.b) +
      path('M690 620H910V720H690Z', k.b) +
      times(3, (i) => rect(690, 720 + i * 50, 220, 34, k.dark, 16)) +
      line('M730 620V460L800 520L870 460V620', k.pale, 14),
  ],
  [
    'path',
    'A road that winds to a flag',
    'road way goal plan next step journey start end',
    (k) =>
      hills(460, k.far) +
      path(
        'M560 1000C620 760 1080 780 1020 620S620 540 760 420L800 420C700 540 1240 560 1200 680S900 800 1060 1000Z',
        k.pale,
      ) +
      line('M780 430V170', k.dark, 16) +
      poly('780,170 960,220 780,280', k.b),
  ],
  [
    'map',
    'A map with a place marked',
    'map place location travel plan area route',
    (k) =>
      poly('180,240 560,160 560,800 180,880', k.pale) +
      poly('560,160 1000,260 1000,900 560,800', k.far) +
      poly('1000,260 1420,180 1420,820 1000,900', k.pale) +
      line('M260 760Q420 520 620 600T1000 480', k.a, 14) +
      path('M1120 620c-130 -170 -150 -220 -150 -270a150 150 0 0 1 300 0c0 50 -20 100 -150 270Z', k.b) +
      disc(1120, 350, 60, k.pale),
  ],
  [
    'shield',
    'A shield with a tick',
    'safety protection risk insurance security check trust',
    (k) =>
      path('M800 130L1160 260V520C1160 720 1000 840 800 900C600 840 440 720 440 520V260Z', k.a) +
      line('M620 520L760 660L1000 390', k.pale, 60),
  ],
  [
    'handshake',
    'Two hands that meet',
    'agreement contract trust partner help cooperation deal',
    (k) =>
      path('M0 420L420 360L720 520L640 640L420 560L0 680Z', k.a) +
      path('M1600 420L1180 360L760 480L860 640L1180 560L1600 680Z', k.b) +
      rect(0, 400, 150, 300, k.dark) +
      rect(1450, 400, 150, 300, k.dark) +
      times(4, (i) => rect(740 + i * 62, 520 + i * 26, 110, 44, k.pale, 22)),
  ],
  [
    'letter',
    'A letter and its cover',
    'mail letter message contact news post',
    (k) =>
      rect(360, 320, 880, 540, k.pale, 12) +
      poly('360,330 800,640 1240,330', k.a) +
      rect(520, 180, 560, 300, k.far) +
      times(3, (i) => rect(580, 240 + i * 60, 440 - i * 90, 22, k.dark)) +
      poly('360,860 760,560 840,560 1240,860', k.b),
  ],
  [
    'lighthouse',
    'A lighthouse by the sea',
    'light sea warning harbour goal guide risk',
    (k) =>
      poly('860,300 1600,120 1600,420', k.pale) +
      poly('700,860 760,320 900,320 960,860', k.pale) +
      times(3, (i) =>
        poly(
          `${722 - i * -14},${760 - i * 160} ${938 - i * 14},${760 - i * 160} ${930 - i * 14},${690 - i * 160} ${730 + i * 14},${690 - i * 160}`,
          k.b,
        ),
      ) +
      rect(745, 240, 170, 90, k.dark) +
      poly('730,240 830,150 930,240', k.b) +
      waves(840, k.a),
  ],
];
