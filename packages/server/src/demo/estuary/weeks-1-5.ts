import { formula, link, named, page, picture } from '../piece.ts';
import type { Unit } from '../piece.ts';
import { TIDE_LAG } from './files.ts';

export const WEEKS_1_TO_5: readonly Unit[] = [
  {
    title: 'Reading a tide table',
    pieces: [
      page(
        'Start here',
        15,
        `
        <p>Welcome to the mud. For fifteen weeks you will measure one small estuary as if nobody had measured it before, and write down what you did so that somebody else could do it again.</p>
        <h2>How a week goes</h2>
        <ul><li>Read the pages of the week before Tuesday; they take about an hour.</li><li>Bring questions to the shed at ten on Wednesday.</li><li>Hand in the week’s sheet by Sunday night.</li></ul>
        <h2>What you need</h2>
        <p>Boots that come off easily, a waterproof notebook, two pencils, and a watch that shows seconds. Everything else is in the shed.</p>
        <p>If you are stuck, write to <a href="mailto:ines.carvalhal@ternpoint.example">Inês</a>. If you are stuck in the mud, read <strong>When the ground is soft</strong> in week 6 first.</p>`,
      ),
      page(
        'Why tides lag the moon',
        25,
        `
        <p>The moon is overhead; the tide is not. At our gauge high water comes about two hours after the moon has passed, and the gap changes from day to day. This page explains why, with one drawing and one equation.</p>
        ${picture(TIDE_LAG)}
        <h2>A bulge that cannot keep up</h2>
        <p>If the Earth were covered by one deep ocean, the water would rise under the moon and the bulge would follow it. It cannot. A wave as long as an ocean runs at the speed that the depth allows, and ours are too shallow. So each basin sloshes at its own pace, pushed twice a day, and answers late. In water of depth ${formula('h')} a wave so long travels at ${formula('c = \\sqrt{g\\,h}')}: over the shelf, where ${formula('h = 100')} m, that is 31 metres in a second, and the Earth turns under it fifteen times as fast.</p>
        <blockquote><p>The moon sets the rhythm. The basin decides when the beat is heard.</p></blockquote>
        <h2>Spring and neap</h2>
        <p>Twice a month the sun pulls along with the moon, and the range is large: <em>springs</em>. A week later it pulls across, and the range is small: <em>neaps</em>. At Tern Point the largest springs come about a day and a half after full and new moon.</p>
        <p>Keep both in mind when you choose a working day: a spring low tide uncovers the lower shore, and leaves you forty minutes less to get off it.</p>`,
      ),
      page(
        'The table, column by column',
        20,
        `
        <p>A tide table predicts; it does not measure. It gives times and heights for one place, computed from many years of readings there.</p>
        <ol><li><strong>Date and moon.</strong> The phase tells you springs from neaps at a glance.</li><li><strong>Time.</strong> In winter time all year. Add an hour in summer, every time, aloud.</li><li><strong>Height.</strong> Above chart datum, which is about the lowest tide there is: not above the ground you stand on.</li></ol>
        <h2>Between the rows: the rule of twelfths</h2>
        <p>Divide the range into twelfths. In the six hours from low to high the water rises by so many of them. It is rough, and it will keep you dry.</p>
        <table><tbody><tr><th><p>Hour after low water</p></th><th><p>Twelfths</p></th><th><p>At our gauge, springs</p></th></tr><tr><td><p>1st and 6th</p></td><td><p>1</p></td><td><p>0.3 m</p></td></tr><tr><td><p>2nd and 5th</p></td><td><p>2</p></td><td><p>0.6 m</p></td></tr><tr><td><p>3rd and 4th</p></td><td><p>3</p></td><td><p>0.9 m</p></td></tr></tbody></table>
        <h3>Try it</h3>
        <p>Low water 07:10 at 0.8 m, high water 13:25 at 4.4 m. When does the water reach the foot of the marker post, at 2.6 m? Write the answer down before you look at the gauge. You will want it again for ${named('Your own tide table')}.</p>`,
      ),
      link('Tern Point gauge: readings of today', 5, 'https://gauge.ternpoint.example/today'),
    ],
  },
  {
    title: 'Quadrats and transects',
    pieces: [
      page(
        'Laying a line',
        35,
        `
        <p>A transect is a promise: from here to there, at these distances, whatever lies under the tape. It stops you from sampling what you like.</p>
        <h2>In the field</h2>
        <ol><li>Choose the bearing before you leave the shed, from the map.</li><li>Fix the landward end to something that will be there next year, and photograph it.</li><li>Walk the tape out against the slope, on one side of it only. The other side is for sampling.</li><li>Note the time at both ends: on a shore, time is height.</li></ol>
        <p>Our three lines begin at the iron ring, the leaning post, and the corner of the slip.</p>`,
      ),
      page(
        'How many squares are enough?',
        30,
        `
        <p>One quadrat tells you almost nothing; a thousand would tell you almost everything, next spring. The question is when another one stops changing your answer.</p>
        <p>Plot the running mean. Count cockles in quadrat after quadrat and after each write the mean so far. It jumps, then sways, then settles. Where it stays within a tenth of itself for five squares, stop.</p>
        <h2>Random, and not just careless</h2>
        <p>Throwing a frame over your shoulder is not random: it lands where you can throw. Use the number sheet. A pair of numbers is a place; if the place is a pool, you sample the pool.</p>
        <ul><li>Random squares for <em>how many</em>.</li><li>Squares along a line for <em>where it changes</em>.</li></ul>`,
      ),
      page(
        'Counting without fooling yourself',
        20,
        `
        <p>Decide before you kneel: is an animal on the edge in or out? Ours is <strong>in on the top and left, out on the bottom and right</strong>. Write the rule on the sheet.</p>
        <p>Count twice, the second time by somebody else, in every fifth square. If the two counts differ by more than a tenth, talk before you go on. It is not a contest; it is the only way to know how good any of your numbers are.</p>`,
      ),
    ],
  },
  {
    title: 'Sediment cores',
    pieces: [
      page(
        'What a core remembers',
        30,
        `
        <p>Push a tube into the flat, close the top, pull. What comes up is a calendar that nobody meant to keep: storms as bands of sand, quiet years as mud, one dark line where the old ropeworks burned.</p>
        <h2>Reading downwards</h2>
        <ul><li><strong>Colour.</strong> Brown where there is oxygen, grey below, black where sulphides form.</li><li><strong>Grain.</strong> Between finger and thumb: flour, sugar, or salt.</li><li><strong>Life.</strong> Burrows, roots, shells whole or broken.</li></ul>
        <p>Draw it before you photograph it. The drawing makes you look.</p>`,
      ),
      page(
        'Taking one cleanly',
        25,
        `
        <ol><li>Mark the top of the tube. It sounds needless. Do it.</li><li>Push straight down, slowly, without turning.</li><li>Fill the headspace with water and cap it: no air, no slump.</li><li>Dig down beside it and cut below, rather than pulling against the suck.</li><li>Carry it upright, and write the label on the tube and in the book.</li></ol>
        <p>A core that shortens by more than a tenth in the tube has been squeezed. Note by how much; do not throw it away.</p>`,
      ),
      page(
        'Your core log',
        40,
        `
        <p>Hand in one page: a drawing to scale, a table of layers with depth in millimetres, and three sentences. The first says what you see. The second says what you think happened. The third says what would prove you wrong.</p>
        <p>Last year’s best log was drawn by somebody who could not draw. It had a scale bar, a north arrow, and a layer named “here I was tired”.</p>`,
      ),
    ],
  },
  {
    title: 'Salinity logging',
    pieces: [
      page(
        'Calibrating the probe',
        20,
        `
        <p>A probe that has not been calibrated measures its own mood. It takes eight minutes.</p>
        <ol><li>Rinse with distilled water, shake, do not wipe.</li><li>Stand it in the 12.88 mS/cm standard and wait until it holds still for a minute.</li><li>Set, rinse, repeat with 80 mS/cm.</li><li>Read the first standard again. If it is off by more than 1 %, begin anew.</li></ol>
        <p>Write both readings into the book each time, also when they are perfect. A drift shows only in a row of numbers.</p>`,
      ),
      page(
        'The wedge',
        30,
        `
        <p>Fresh water is lighter, and slides out over the top. Salt water creeps in along the bed. Between them lies a layer thin enough to miss between two dips: at the bridge it is 40 cm thick at neaps, and gone at springs.</p>
        <p>So one reading at the surface says nothing about the estuary. Dip every 25 cm, going down, and again coming up; where the two disagree you have stirred the layer yourself.</p>
        <h2>Practical units</h2>
        <p>Practical salinity has no unit. It is a ratio of conductivities that happens to be close to grams in a kilogram. Write “28.4”, not “28.4 ppt”.</p>`,
      ),
      link('Worked sheet: a tidal cycle at the bridge', 25, 'https://sheets.ternpoint.example/bridge-cycle'),
    ],
  },
  {
    title: 'Who lives in the mud',
    pieces: [
      page(
        'A square metre of neighbours',
        30,
        `
        <p>In one square metre of our middle shore live about 4,000 mud snails, 300 cockles, 60 ragworms, and so many small shrimps that we count them by weight.</p>
        <p>They sort themselves. Each has a depth to which it can burrow and a time it can stand to be dry. Read the surface first: a coil of sand is a lugworm’s, a star of scratches a ragworm’s, two holes side by side a clam’s.</p>`,
      ),
      page(
        'The key, and how to be stuck',
        35,
        `
        <p>A key asks one question after another. Answer what you see, not what you expect. If both answers seem right, go down both and see which ends sooner in nonsense.</p>
        <h2>Five you will meet</h2>
        <ul><li><em>Peringia ulvae</em>, mud snail: a grain of rice with a twist.</li><li><em>Cerastoderma edule</em>, cockle: ribs like a fan.</li><li><em>Hediste diversicolor</em>, ragworm: a red line down its back.</li><li><em>Arenicola marina</em>, lugworm: gills in the middle only.</li><li><em>Corophium volutator</em>, mud shrimp: antennae longer than it is polite to have.</li></ul>
        <p>“Unknown 3, drawn overleaf” is a perfectly good identification. “Probably a cockle” is not.</p>`,
      ),
      page(
        'Sieve, sort, release',
        20,
        `
        <p>Half a millimetre of mesh, sea water, patience. Sort in white trays, count, and put everything back where it came from within the hour, at the same height of shore. Nothing is kept without a reason written in the book first.</p>`,
      ),
    ],
  },
];
