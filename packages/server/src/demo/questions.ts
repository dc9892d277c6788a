/** The questions of the demo's quizzes, in the notation in which they are typed (docs/formats.md). */
import { planned, readQuestions } from '@itinerary/core';
import type { Quiz } from '@itinerary/core';
import { idFor } from './build-course.ts';

const SAMPLING = `1. You lay a line down the shore. Where do the squares on it go?
a) Where the mud looks most lively
b) At equal distances, decided beforehand *
c) Wherever the line happens to lie flat
> What is chosen by eye is what one expected to find.

2. Which of these go on the sheet before you count anything? (2)
[x] The hour by the wall clock
[x] Who counts and who writes
[ ] What you expect to find
[x] Where on the line you stand

3. A square in which nothing lives is left out of the table.
= false
> Nothing is a count too.

4. What is the plural of quadrat?
= quadrats
> Squares will do as well, and everybody on the shore says squares.

5. How many squares of half a metre by half a metre make one square metre?
= 4

6. What belongs together?
Transect -> A line across what changes
Quadrat -> A square of known size
Replicate -> The same again, elsewhere

7. In which order is it done?
+ Lay the line
+ Set the first square
+ Count
+ Write it down
+ Move on

8. A line is 40 m long, and a square stands every 2.5 m, the first at 0. How far from the start is the fourth?
= 7.5 m ± 0.1

9. Two of you count the same square and come to 14 and 19. What goes on the sheet?
a) The mean
b) Both, with who counted which *
c) The higher, since one overlooks things

10. Why do we not sample only where it is easy to walk? (3)
= ...`;

const SALT = `1. Which of these makes water heavier? (2)
[x] More salt
[x] Less heat
[ ] More wind
[ ] More light

2. Fresh water from the river runs out over the salt water of the sea.
= true

3. What is a sharp change of salt with depth called?
= halocline
= a halocline

4. Sea water has about 35 g of salt in a kilogram. How many grams are in 200 g of it?
= 7 g ± 0.2

5. In which order do you take a cast?
+ Rinse the bottle
+ Lower it open
+ Close it at depth
+ Read the line
+ Write the hour

6. At the bridge, the probe reads 18 at the top and 31 at the bottom. What do you see?
a) A mixed water
b) A layered water *
c) A probe that is broken

7. What belongs together?
Conductivity -> Salt
Thermistor -> Heat
Pressure -> Depth

8. Your first reading of the morning is always odd. What would you do about it? (3)
= ...`;

const ZONES = `1. Orange lichen on bare rock, dry at most tides. Which shore?
a) Upper *
b) Middle
c) Lower

2. Which of these are at home on the middle shore? (2)
[x] Barnacles
[x] Dog whelks
[ ] Kelp
[ ] Sea pinks

3. Which seaweed has pairs of air bladders along its rib?
= bladder wrack
= bladderwrack

4. Kelp stands out of the water at every low tide.
= false
> Only at the lowest ones.

5. From top to bottom:
+ Lichens
+ Barnacles
+ Wracks
+ Kelp

6. By what do you know that you have left the upper shore? (2)
= ...`;

const DISC = `1. The disc goes out of sight at 2.4 m going down, and comes back at 2.2 m. What is the reading?
= 2.3 m ± 0.01

2. Which of these make the reading smaller? (2)
[x] Mud stirred up
[x] A shadow over the water
[ ] A longer rope
[x] A bloom of algae

3. The disc is read on the sunny side of the boat.
= false

4. What does turbidity say?
a) How deep the water is
b) How cloudy the water is *
c) How salty the water is

5. What is the unit of the reading?
= metres
= metre
= m

6. What belongs together?
Clear water -> A large reading
Cloudy water -> A small reading

7. Why do yours and your neighbour's readings differ? (3)
= ...`;

const PASTE = `1. A clean tear across a leaf of thin paper. Which paste?
a) Wheat starch, thin *
b) Wheat starch, thick
c) None

2. Which of these can be undone by the next person? (2)
[x] Starch paste
[x] Thin tissue
[ ] Clear tape

3. A tear that does not reach the edge is best left alone.
= true
> Nothing pulls at it.

4. What goes over the tear on the printed side?
= tissue
= thin tissue

5. In which order?
+ Lay the edges together
+ Paste the tissue
+ Lay it on
+ Weigh it down

6. When would you leave all of it alone? (2)
= ...`;

const BOATS = `1. Who goes out alone?
a) Whoever has the key
b) Nobody *
c) Whoever stays within sight

2. The kill cord is round your leg before the engine starts.
= true

3. Somebody ashore knows (2)
[x] who is in the boat
[x] when you are back
[ ] which sandwiches you have
[x] where you are going

4. The engine stops off the point, and the wind is on shore. What comes first?
a) The engine cover
b) The anchor *
c) The oars

5. In which order do you leave the pontoon?
+ Life jackets
+ Kill cord
+ Engine
+ Stern line
+ Bow line

6. At night a green light crosses before you. You see its
a) port side
b) starboard side *
c) stern

7. What belongs together?
Bowline -> A loop that holds
Clove hitch -> A rail
Figure of eight -> The end of a rope

8. How many knots is the limit within the harbour wall?
= 5

9. From which force on the Beaufort scale do our boats stay in?
= 5

10. What do you say three times when a life is in danger?
= mayday

11. The forecast says fog by noon, and you are back by one. You
a) go, and keep to the buoys
b) do not go *

12. Everybody aboard is asked before the boat leaves whether they can swim.
= true`;

const BY_TITLE: Readonly<Record<string, { readonly block: string; readonly how?: Partial<Quiz> }>> = {
  'Check yourself: sampling': { block: SAMPLING, how: { counts: 'last', reveals: 'at_once' } },
  'Salt, heat and density': { block: SALT, how: { limit: 25, tries: 2, passAt: 7 } },
  'Zones at a glance': { block: ZONES, how: { layout: 'one', shuffleChoices: true } },
  'What the disc says': { block: DISC, how: { tries: 2 } },
  'Which paste for which tear': { block: PASTE },
  'Ready for the water': { block: BOATS, how: { passAt: 11, shuffleQuestions: true } },
};

/** What the quiz of that name asks, and how it is taken. @throws Error where its questions cannot be read */
export function questionsFor(code: string, title: string): Partial<Quiz> {
  const found = BY_TITLE[title];
  if (found === undefined) return {};
  const read = readQuestions(found.block, (at, part) => idFor(code, title, at, part ?? ''));
  const [wrong] = read.unread;
  if (wrong !== undefined) throw new Error(`${title}, line ${wrong.line}: ${wrong.code}`);
  const questions = read.questions.map((one, at) => [one.id, planned(one, at + 1)!] as const);
  return { questions: Object.fromEntries(questions), ...found.how };
}
