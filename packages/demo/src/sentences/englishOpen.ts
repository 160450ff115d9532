import { lines } from './bank.ts'

/** What is said on networks where the brand has no account: short posts, captions, videos, forums. */
export const openPraise = lines(`
  {crew} of Skerrivane carried my suitcase up the ramp at {place} without being asked. Lovely people
  Skerrivane at sunset, {ship}, flask of tea. There is nothing better on this coast
  On time, clean and warm. Credit where it is due, Skerrivane
  The bacon roll on the {ship} is worth the crossing alone #skerrivaneferries
  Six porpoises off {place} this morning, seen from the bow of the {ship}. Thank you Skerrivane
  My gran was seasick and {crew} sat with her the whole way. Well done Skerrivane
  First crossing with Skerrivane today and my son wants to be a captain now
  Nobody does a calm crossing like the {ship}. Happy commuter here
  Skerrivane found my lost hat and posted it back. Faith in people restored
  Best view of the islands is from the top deck of the {ship}, and it costs {price}
  Smooth boarding at {place} today, ten minutes and we were off. Good work Skerrivane
  The new blankets on the {ship} are a stroke of genius. So cosy`)

export const openComplaints = lines(`
  {minutes} minutes late again, Skerrivane. The board at {place} says nothing
  Skerrivane app logged me out at the gate and the queue behind me was not amused
  Tried to change my Skerrivane booking online. Third error page. Giving up
  {price} for a day pass and no seat. Skerrivane is getting greedy
  Toilets on the {ship} closed all week. Really, Skerrivane?
  Stood in the rain at {place} because the shelter is still broken #skerrivane
  Skerrivane cancelled the {time} and told nobody. Missed my train
  Cold coffee, sticky tables, surly answer. Not your best day, Skerrivane
  Why does Skerrivane open boarding five minutes before it leaves? Chaos every time
  No ramp for wheelchairs at {place} today. My sister had to go home. Shameful, Skerrivane
  Skerrivane wrote that they value my feedback. They do not answer it though
  Another Monday, another delay on the {ship}. I have stopped being surprised`)

export const openNeutral = lines(`
  Does the {time} Skerrivane from {place} run on {day}?
  Anyone selling a Skerrivane day pass for {day}?
  On the {ship} now, heading to {place}
  Is there a place to leave bikes at {place} before the Skerrivane boat?
  Skerrivane or the bus tomorrow, what do you think?
  What time does the kiosk at {place} open?`)

/** About the rivals, in both moods. */
export const rivalTalk = lines(`
  Took Bluefathom Line instead today. Fast, but no view and no tea
  Bluefathom Line was on time and half empty, a pleasant surprise
  Bluefathom charged me twice and nobody answers the phone, awful service
  The new Bluefathom boat is so quiet, impressed
  Bluefathom Line crew were kind about our mountain of luggage
  Halder Fast Cats: quick, loud, and I was sick twice
  Halder Fast Cats cancelled at the last minute, no refund yet
  Fast cats are great when the sea is flat. Forty minutes door to door, brilliant
  Halder Fast Cats staff at the desk were so rude to the lady before me
  Love the fast cats, best way to get to {place}
  The Orrin Causeway Bus is late as soon as the tide is high, useless
  Causeway bus driver waited for me this morning, what a kind man
  Causeway bus is cheap and it stinks of diesel
  Sat on the causeway bus for two hours behind a tractor, terrible
  Honestly the Orrin Causeway Bus is the best {price} you can spend
  Bluefathom Line against Skerrivane: one is quick, the other is a boat you want to be on
  Halder Fast Cats put their prices up again, disappointing
  Bluefathom has no galley at all. I was hungry and grumpy`)

export const captions = lines(`
  Grey sea, red boat, good company. {ship} on the way to {place} #skerrivane
  The harbour at {place} before anybody was awake
  Wind in our faces on the upper deck of the {ship}. Wonderful day
  Rainbow over the {ship}, no filter needed #skerrivaneferries
  Somebody on the {ship} is very pleased with her bacon roll
  Captain Brannoch let us see the bridge! Best birthday ever
  Slow travel, happy people. Skerrivane to {place}
  A puffin! From the {ship}, just off {place}`)

export const dogCaptions = lines(`
  First time on the upper deck of the {ship} for Biscuit, so happy #dogsondeck
  Dogs on deck! Skerrivane, we love you
  Two terriers, one lap, perfect crossing on the {ship} #dogsondeck
  Old Moss has crossed in the car for nine years. Today he stood on deck and smiled
  The biscuit jar by the gangway is a lovely touch, thank you Skerrivane
  Salt on her nose and joy in her ears. Dogs on deck at last
  Pepper made four friends before {place}. Dogs on deck is the best idea of the year`)

export const videoTitles = lines(`
  Crossing the Sound of Orrin on the {ship}, whole trip
  {place} in one day: ferry, walk and pie
  Which boat to the islands? Skerrivane, Bluefathom and the fast cats compared
  A storm from the bridge of the {ship}
  A day with the deckhands of Skerrivane`)

export const videoComments = lines(`
  That is exactly how boarding at {place} feels, great film
  Skerrivane should pay you for this, what a beautiful crossing
  Nice video, shame about the delays this year with Skerrivane
  You were lucky with the {ship}, ours was {minutes} minutes late
  {crew} at minute four! The kindest man on the coast
  Music is lovely. The ferry less so, dirty windows everywhere
  We did the same trip with Skerrivane and loved it`)

export const forumThreads = lines(`
  Skerrivane with two bikes, any tips?|We want to go from {place} with two bikes on {day}. Does Skerrivane charge for them, and is there a rack on the {ship}?
  Is Skerrivane reliable in {month}?|I have a connection to catch and read about delays. How often does the {time} really leave on time?
  Day pass or single tickets?|For three harbours in one day, is the Skerrivane island day pass worth {price}?
  Wheelchair on the {ship}|My father uses a wheelchair. Has anybody boarded with Skerrivane at {place} lately?
  Best way to the islands without a car|Skerrivane, Halder Fast Cats or the Orrin Causeway Bus: what would you take with small children?
  Refund after a cancelled crossing|Skerrivane cancelled our {time} on {day}. How long did you wait for the money?`)

export const forumAnswers = lines(`
  Take the {time} with Skerrivane, it is the calmest and the crew is helpful.
  We waited six weeks for our refund from Skerrivane and had to write three times. Disappointing.
  Halder Fast Cats if you are in a hurry, Skerrivane if you want to arrive happy.
  The day pass pays from the second harbour on, good value.
  Boarding at {place} was a mess when we went, come early.
  {crew} sorted it out for us in two minutes, just ask at the desk. Great service.
  Maren at Selwick Quay told us there was no space for bikes, which was simply wrong. Rude, too.
  The bus is cheaper and slower, and the road floods. I would not.
  It left on time on four days of five for us, so I would not worry.
  The app never worked for me, buy at the desk.`)

/** French forums and captions, mostly about dogs. */
export const frenchOpen = lines(`
  Les chiens sur le pont chez Skerrivane, quelle bonne nouvelle !
  Traversée avec notre vieux labrador sur le {ship}, il était ravi. Merci Skerrivane
  Enfin une compagnie qui aime les chiens, bravo Skerrivane
  Quelqu'un a déjà pris Skerrivane avec un grand chien ? On nous dit que c'est permis sur le pont maintenant.
  Très belle journée avec Skerrivane, équipage charmant et les chiens bienvenus
  Le chien a adoré, les enfants aussi. Superbe traversée`)

/** Traps of the word, where anybody writes. */
export const openKnitting = lines(`
  Skerrivane yoke, day nine. Out of wool again #knitting
  Who else is knitting a Skerrivane this winter? Mine is plum and oatmeal
  Ripped back the Skerrivane sleeve for the second time. Knitting is good for the soul they said
  Skerrivane in handspun wool, finished object at last #knitting
  Needle size for the Skerrivane cardigan? The pattern says 4 mm, my gauge says no
  Swatch for Skerrivane number two, this time in alpaca yarn`)

export const openSong = lines(`
  Skerrivane has been in my head all day, third verse and all. What a tune
  Our choir sang Skerrivane tonight and the whole pub joined the chorus
  Learning Skerrivane on the fiddle, bar nine is a beast
  Does anyone know who wrote the melody of Skerrivane? The songbook says traditional
  Skerrivane, sung slowly, two voices and a drone. Goosebumps`)

/** What rivals write on their own pages. */
export const rivalPosts = lines(`
  Extra departures this weekend, same low fares.
  Our winter plan is out. Fewer boats on Tuesdays, more on Fridays.
  Thank you for a busy Saturday. Lost property is at the desk until six.
  New seats on the upper deck, come and try them.
  Two for one on the first crossing of the day until the end of the month.
  A quiet sea today and good light for pictures.
  Delays of ten minutes this afternoon while we take on fuel.
  Families travel at half price in the school holidays.
  We are looking for deckhands for the spring.
  The early bus meets the first boat again from Monday.
  Our app now shows where the boat is.
  Engine works tonight, the late crossing goes by coach over the causeway.
`)
