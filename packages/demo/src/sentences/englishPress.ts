import { lines } from './bank.ts'

/** Articles, and the irrelevant hits of the word Skerrivane: a knitting pattern, a folk song; and a bird. */
/** Irrelevant hits of the word Skerrivane: a knitting pattern, a folk song; and a bird. */
export const knitting = lines(`
  Finished my Skerrivane in four skeins of grey wool, the yoke is a dream to knit.
  Casting on a Skerrivane for my nephew tonight, size three, in moss green.
  Has anybody steeked the Skerrivane before? The chart on page two puzzles me.
  The Skerrivane pattern says 4 mm needles but my gauge is off.
  Blocked my Skerrivane on the kitchen floor and the cat approves.
  Yarn for a Skerrivane: I used leftover sock wool held double.
  Row 34 of the Skerrivane chart has a mistake, the purl should be a knit.
  My third Skerrivane this winter, the sleeves go quickly once the yoke is done.`)

export const folkSong = lines(`
  We played the Skerrivane in D at the session last night, with two fiddles and a flute.
  Does anyone have the words of the third verse of Skerrivane? My grandmother sang it.
  A slow version of Skerrivane, from the recording of the island choir.
  The tune Skerrivane goes best after a reel, and nobody can agree on the chorus.
  Learning the Skerrivane on the concertina, the melody sits well under the fingers.
  The choir closed its concert with Skerrivane, four voices and a drone.`)

export const birds = lines(`
  A grey heron stood in the reeds by the mill pond for an hour this morning.
  Counted two grey herons and a pair of teal on the estuary walk.
  The grey heron is nesting early this year, three eggs by the old bridge.
  A young grey heron took a frog from our garden pond.`)

export const newsStories = lines(`
  Skerrivane Ferries adds a late boat for the harbour festival|The operator will run one more crossing from {place} on {day} night. Organisers of the festival welcomed the decision, which lets visitors from the islands stay for the fireworks.
  Councillors praise new step-free ramp|The ramp at {place} was opened by pupils of the village school. Skerrivane Ferries paid half of its cost. Users of wheelchairs who tried it called it a great improvement.
  Bluefathom Line orders a second fast boat|The rival of Skerrivane Ferries on the southern route expects the vessel in two years. The managing director of Skerrivane Ferries, Wynn Adair, said that her company would not be drawn into a race.
  Fares on the Sound to rise in spring|Skerrivane Ferries and Halder Fast Cats both announced higher fares. Passenger groups called the timing unfortunate. A day pass will cost {price}.
  Ferry crew rescues kayaker|The crew of the {ship} pulled a man from the water off {place} on {day}. Captain Brannoch said that any crew would have done the same.
  Orrin Causeway Bus trials a night service|The bus will cross the causeway every hour until two. Skerrivane Ferries said it saw the bus as a neighbour rather than a rival.
  Winter timetable meets resistance at Northmoor|Residents of Northmoor Pier handed in a petition against the new winter timetable of Skerrivane Ferries. They say that the last boat home leaves too early for those who work on the other side.
  Dogs now travel on deck|Skerrivane Ferries has opened the upper decks of its three ships to dogs. The first passengers were delighted, and so were their dogs.
  School trip counts porpoises|Forty pupils counted porpoises from the deck of the {ship} for a national survey. They saw twenty-three, more than in any year before.
  Wynn Adair speaks at harbour breakfast|The managing director of Skerrivane Ferries told local firms that the company will keep all five harbours open all year. Asked about delays, she said that the summer had been hard on crews.
  Halder Fast Cats cancels weekend sailings|A shortage of crew led to eleven cancelled crossings. Some passengers went over to Skerrivane Ferries, whose boats were full.
  Harbour kiosk wins a prize for its pies|The kiosk at {place} was named the best of the coast. Its owner thanked the ferry passengers, who buy two hundred pies a day.`)

export const blogPosts = lines(`
  A slow day on the islands|We left the car at {place} and went over with the {ship}. Skerrivane Ferries gave us tea, rain and a rainbow. We walked to the lighthouse and came back happy.
  Cycling the five harbours|Day two of the ride. The crew of the {ship} found a dry corner for the bikes. The galley saved us with soup. A wonderful stretch of coast.
  Why I still take the boat|The bus is faster and the fast cats are smoother. I still take Skerrivane, because somebody waves, and because of the bacon roll.
  Notes from a commuter|Three late boats this week. I like Skerrivane Ferries, but the {time} has become a lottery and nobody explains anything.
  Birds of the Sound|A grey heron on the slip at {place}, gannets further out, and a hundred eiders. Bring binoculars and a warm hat.
  With a toddler on the ferry|Changing table: clean. Highchair: one. Patience of the crew: without end. Thank you, Skerrivane.
  Island notebook, {month}|The {ship} was late, the shop was shut, the weather was foul. A perfect weekend all the same.`)
