import { lines, type TopicBank } from './bank.ts'

export const englishTopics: Record<string, TopicBank> = {
  punctuality: {
    good: lines(`
      Left {place} on the dot and tied up two minutes early.
      You can set your watch by the {time}.
      We made the train with ten minutes to spare, thanks to a prompt crossing.
      On time out, on time back, that is all I ask of a ferry.
      Six crossings this {month} and not one late.
      Bad weather forecast, yet the {ship} kept to the minute.
      The {time} was bang on schedule and the turnaround was slick.
      Smooth and punctual, as it has been all year.
      Even with a full car deck they got us away on time.
      The board said {time} and {time} it was.
      Quick crossing, we were across before the coffee was cold.
      Never once missed my connection in {n} years of commuting.`),
    bad: lines(`
      The {time} left {minutes} minutes late and nobody said why.
      Late again, third time this {month}.
      We missed our bus because the {ship} crawled in {minutes} minutes behind.
      The timetable is a work of fiction these days.
      Waited {minutes} minutes in the car lane without a word.
      If you need to be anywhere by noon, do not count on the {time}.
      Every {day} the same story, late out of {place} and later back.
      The app said on time, the empty berth said otherwise.
      My mother missed her hospital appointment thanks to the delay.
      Half an hour bobbing outside {place} waiting for a berth.
      I have stopped booking the {time}, it has not been punctual since spring.
      Delayed, then delayed again, then boarding opened at the wrong ramp.`),
  },
  cancellation: {
    good: lines(`
      Our sailing was cancelled for wind but we were rebooked within the hour.
      They rang me about the cancellation before I had left home, very considerate.
      Refund for the cancelled {time} landed in two days, well handled.
      Cancelled for safety, explained kindly, moved to the evening boat free of charge.
      Text message at six, new crossing at nine, no fuss.
      The desk at {place} sorted out a hotel when the last boat could not sail.`),
    bad: lines(`
      Cancelled at the gate with the engine running and the tickets scanned.
      No text, no e-mail, just a handwritten note at {place}.
      The refund for the cancelled crossing has been on its way for {n} weeks.
      They cancelled the {time} and went on selling tickets for it.
      Nobody told us the {ship} was not sailing.
      Stranded overnight at {place} with two children and no help.
      Another cancellation, another voucher I cannot use.
      We drove ninety miles to find the ramp closed.
      The only information came from a fisherman.
      Cancelled for the wind, they said, while the other line sailed past us.`),
  },
  crew: {
    good: lines(`
      {crew} carried my mother's chair up the ramp and would not hear of thanks.
      The crew waved at my son until we were out of sight.
      {crew} found my lost hat and brought it to the car.
      Kind, patient people who clearly like their work.
      Captain Brannoch came out on deck to talk to the children.
      {crew} remembered us from last summer, what a lovely touch.
      The deckhands were cheerful in pouring rain.
      I was nervous about the swell and {crew} sat with me, I am so grateful.
      Friendly faces from the ramp to the galley.
      {crew} helped us strap down the bikes and told us where to look for porpoises.
      Polite, calm and quick, the crew of the {ship} are a credit to you.
      A smile at the ticket check makes a wet Monday better.
      {crew} is worth the price of the ticket alone.
      The way the crew looked after a seasick passenger was wonderful.`),
    bad: lines(`
      The man at the ramp shouted at us as if we were sheep.
      Nobody on board could tell us when we would arrive.
      Rude answer at the gate when I asked about the next boat.
      The crew stood chatting while an old lady struggled with her case.
      I asked twice for a blanket and was told to buy a jumper.
      Grumpy from start to finish, what happened to you lot?
      The young man on the car deck waved us into a gap and laughed when we scraped the mirror.
      Not one crew member wore a name badge, so I cannot even complain properly.
      A shrug is not an answer.
      Being told to calm down when your child is lost is not helpful.`),
  },
  boarding: {
    good: lines(`
      Boarding was quick and well organised.
      Foot passengers first, cars after, nobody pushed.
      The new lanes at {place} work, we were on in five minutes.
      Clear signs, friendly marshals, no queue at all.
      Rolled straight on with the camper, easy as you like.
      Loading was calm even on a bank holiday.
      The waiting room at {place} is warm and spotless.
      Loved the new boarding passes on the phone, one beep and done.`),
    bad: lines(`
      The queue at {place} went round the harbour twice.
      {minutes} minutes in a lane with no shade and no toilet.
      They let the late cars on before us, unbelievable.
      The gate screen was dark all weekend.
      Two lanes, one marshal, total chaos.
      Boarding was announced in a whisper and half of us missed it.
      We booked, we came early, and we still got left on the quay.
      The ramp was so slippery that a woman fell right in front of us.
      Nobody checked the queue, so people simply walked past it.`),
  },
  price: {
    good: lines(`
      Day pass at {price} for the whole family is a bargain.
      Good value, and the under fives go free.
      Cheaper than the bus and ten times the fun.
      The ten trip card has paid for itself by {month}.
      Fair price for a fine crossing.
      {price} return with a car is hard to beat.
      They refunded the difference without my asking, honest people.`),
    bad: lines(`
      {price} for a foot passenger is a rip off.
      Prices up again and the boat is no cleaner.
      Charged twice for the same car and the refund form is broken.
      The cabin upgrade is a waste of money, it is a cupboard with a chair.
      A family of four cannot afford this any more.
      Hidden fee for a bicycle at the gate, not a word of it online.
      {price} and we stood the whole way.
      Paying more for less is not a timetable, it is an insult.`),
  },
  galley: {
    good: lines(`
      Best bacon roll on any water.
      Ailith's soup should have its own postcard.
      Hot chocolate, fresh scone, grey sea, perfect.
      The galley does a proper cup of tea.
      Lovely fish chowder and generous with it.
      Breakfast on the {ship} is the best part of my week.
      Ailith knew my order before I opened my mouth.
      Fresh bread, still warm, at seven in the morning.
      The veggie breakfast was delicious and not an afterthought.
      Cake of the day was lemon and it was superb.`),
    bad: lines(`
      The galley ran out of everything but crisps.
      Cold chips and a lukewarm tea for {price}.
      Coffee like dishwater.
      The sandwich was stale and the fridge smelled.
      Galley closed at noon on a full boat, who plans this?
      Found a hair in my chowder.
      Twenty minutes in line for a soggy roll.
      Nothing at all for vegans, again.
      The soup was cold in the middle and the bread was hard.`),
  },
  booking: {
    good: lines(`
      Booked in two minutes on the phone, easy.
      Changing our crossing in the app was painless.
      The new booking site is clear and quick.
      Whoever fixed the app, thank you.
      Seat map, car length, dog, done, simple as that.
      The confirmation came at once and the code scanned first time.`),
    bad: lines(`
      The app logged me out three times before it took my money.
      Booked for Thursday, ticket says Friday, desk says tough luck.
      The booking site crashes when you add a trailer.
      Payment went through, ticket never came.
      Your app forgets my car every single time.
      I was on hold for {minutes} minutes and then cut off.
      The site showed space, the harbour said full.
      It is impossible to change a booking after six o'clock.
      Nobody answers the phone in the booking office.
      The confirmation went to an address I have not used in years and no one can fix it.`),
  },
  bicycles: {
    good: lines(`
      Bikes on for free and a proper rack at last.
      Four bicycles, two trailers, zero problems.
      {crew} tied the tandem down as if it were glass.
      Great to see space kept for cyclists.`),
    bad: lines(`
      Our bikes were thrown in a heap and my brake lever is bent.
      Bike space sold out for a boat that carried three cars.
      Turned away with a folding bike, ridiculous.
      The bike rack on the {ship} is broken and has been since {month}.`),
  },
  access: {
    good: lines(`
      The lift was working and the crew had kept a space by the window for my wheelchair.
      Step free from car to lounge, thank you for thinking of it.
      My deaf brother was shown every announcement in writing, brilliant.
      Assistance at {place} was there before we asked.`),
    bad: lines(`
      The lift has been out of order since {month} and my father sat in the car for the whole crossing.
      The accessible toilet was used as a store room.
      Nobody came to help with the wheelchair although we had booked it.
      Steep ramp at low tide and not a hand offered.
      Announcements that nobody can hear are useless to half of us.`),
  },
  views: {
    good: lines(`
      Porpoises off the bow and a sunset to go with them.
      The view of the Sound from the top deck is breathtaking.
      Saw gannets, seals and one very smug otter.
      Best seat in the islands.
      We stood outside the whole way, wrapped in blankets, grinning.
      The light over Inchgarth this morning was unreal.
      Northern lights from the deck, I still cannot believe it.
      My daughter counted eleven porpoises and wants to be a captain now.
      Stormy, splendid and worth every minute.`),
    bad: lines(`
      Windows so salty that we saw nothing at all.
      They closed the top deck and nobody told us why.
      The best side of the boat was roped off for no reason.
      Smokers upwind of everybody, so much for the sea air.`),
  },
  cleanliness: {
    good: lines(`
      Spotless, even the toilets.
      Fresh paint and clean windows, the {ship} looks lovely.
      The lounge was clean and warm.
      Tidy boat, tidy crew.
      Someone takes real pride in that deck.`),
    bad: lines(`
      The toilets were filthy and there was no paper.
      Sticky tables, crumbs in every seat.
      The lounge smelled of wet dog and diesel.
      Rubbish bins overflowing by nine in the morning.
      The carpet on the {ship} is a disgrace.
      I would not let my dog sit on those seats.`),
  },
  parking: {
    good: lines(`
      Parking at {place} is easy and the first hour is free.
      Plenty of space and a friendly attendant.
      The new car park is well lit and close to the ramp.`),
    bad: lines(`
      Parking charged twice and the machine ate my card.
      The car park at {place} is a muddy field with a price list.
      Fined {price} for being on a delayed boat, shame on you.
      Not one space for foot passengers with luggage.
      The barrier was broken and we nearly missed the boat.`),
  },
}

export const englishOpenings = {
  good: lines(`
    What a day.
    Credit where it is due.
    Lovely crossing on the {ship}.
    First time with Skerrivane and not the last.
    We cross every month.
    Came over for my sister's wedding.
    Took the grandchildren for a day out.
    Commuter here, so I do not say this lightly.
    Visited {place} for the weekend.
    I rarely write these things.
    Return trip with a car and two teenagers.
    Sunday outing with the walking club.`),
  bad: lines(`
    Where do I start.
    I wanted to like this.
    We used to love this boat.
    Second chance, second let down.
    Regular passenger, losing patience.
    {place} on a {day}, never again.
    Honestly, sort it out.
    It is always the same at {place}.
    Sailed on the {ship} last {day}.
    Not what we paid for.
    I have tried to be fair.
    Came for a quiet day out.`),
}

export const englishClosings = {
  good: lines(`
    We will be back.
    Recommended.
    See you in spring.
    Thank you, all of you.
    Keep it up.
    Ten out of ten.
    Worth the trip by itself.
    Cannot wait for the next one.
    Made our week.`),
  bad: lines(`
    Next time we take the bus.
    Please read these, and do something.
    I want my money back.
    Not good enough.
    You have lost a customer.
    A simple sorry would have helped.
    We deserve better than this.
    I expect an answer.
    Avoid if you can.`),
}

export const englishNeutral = lines(`
  Took the {time} from {place}, came back on the {time}.
  Crossed with a van and two kayaks.
  The boat was about half full.
  Used the ticket machine, then walked on.
  Sat inside, it rained.
  Parking as before, boarding as before.
  It is a ferry, it goes across.
  One way, foot passenger, {day}.
  Some things better than last year, some not.
  We had the {ship} out and the other one back.`)

export const englishQuestions = lines(`
  Is the {time} from {place} still taking bikes on {day}?
  Do I need to book for a foot passenger on a {day}?
  How early should we be at {place} with a camper?
  Can I bring a paddleboard on the {ship}?
  Does the island day pass cover Northmoor as well?
  Is there a lift on the {ship}?
  What time does the galley open on the first boat?
  Are dogs allowed in the lounge in winter?
  Where do I collect a ticket that I booked by phone?
  Is there a night boat back after the concert on {day}?
  Do children under five need a ticket?
  Can we leave the car at {place} over night?
  Will the {time} run in this wind?
  Is there a discount for students?
  How do I change the name on a booking?
  Do you carry gas bottles in a camper van?
  Which side has the better view of the lighthouse?
  Is the path from {place} harbour to the village lit?
  Can a mobility scooter be charged on board?
  Do you take cards in the galley?
  Is the {time} on {day} the fast boat or the slow one?
  Has the car park at {place} opened again?
  Can I use a ticket of last year?
  What happens to my booking when the boat is full?`)

export const englishMessages = {
  request: lines(`
    Hello, I left a green rucksack on the {time} to {place}, has it been handed in?
    Hi, my booking {code} shows the wrong car, can you change it to a van of six metres?
    Good morning, we are {n} people on {day}, is there a group price?
    I paid twice for booking {code}, could you look into it please?
    Could you send me a receipt for {code}? My employer needs it.
    My father uses a wheelchair, who do I tell before the {time} on {day}?
    I would like to move {code} from {day} to the day after, is that possible?
    We lost a small blue teddy somewhere between the galley and the ramp, he is called Herring.
    Is it too late to add a dog to {code}?
    How do I get the refund for {day}? The form on the site does nothing.
    Hello, who can I talk to about carrying a harp?
    Can I swap my cabin upgrade for two seats by the window?`),
  followUp: lines(`
    Hello? Anybody there?
    It was the seat by the stairs, if that helps.
    Sorry to ask again, we travel tomorrow.
    I have tried the phone, too.
    The booking name is {name}.
    Never mind the first message, the code is {code}.
    Thank you, that was quick!
    Brilliant, thanks so much.
    That does not answer my question.
    Ok, I will wait.`),
}

export const englishReplies = {
  good: lines(`
    Thank you {name}, that will be read out in the mess room tonight.
    How kind of you to write, {name}. See you on the next crossing.
    This made our morning, {name}. We have passed it on to the crew.
    Thank you for sailing with us, {name}, and for noticing.
    We are so glad you had a good crossing, {name}.
    {name}, thank you. The whole crew has seen this and is rather pink about it.
    That is lovely to hear, {name}. The porpoises say thank you, too.`),
  bad: lines(`
    {name}, that is not how a crossing should be, and we are sorry. Please send us your booking number in a private message.
    We are sorry, {name}. We have taken this up with the harbour at {place} and will write to you by Friday.
    Thank you for telling us, {name}. You should have been told, and were not. The fault is ours.
    {name}, we understand that you are angry. Ness from passenger care has your case now.
    That was a poor day, {name}. A refund is on its way to the card you paid with.
    Sorry, {name}. We have mended what broke and would like to make up for it.
    {name}, we were short of hands that day and it showed. We apologise.`),
  question: lines(`
    Hello {name}, yes, it does. The lane is on the left as you come in.
    Good question, {name}: half an hour before is plenty on weekdays.
    {name}, please book the space, it is free but there are only six.
    Yes, {name}, right through to the end of the season.
    Not on that boat, {name}, but the one after takes them.
    {name}, the desk at {place} opens at seven and can do that for you.
    Found it, {name}. It waits for you at the desk at {place}.
    Done, {name}, the change is on your booking.`),
}

export const pagePosts = lines(`
  Calm seas and a clear sky at {place} this morning. Where are you off to?
  The galley has new soup. Ailith will not say what is in it.
  Seals on the rocks off Inchgarth again, have your cameras ready on the {time}.
  A reminder: from {day} the {time} leaves from the inner berth at {place}.
  Meet the crew: {crew}, {n} years on the {ship} and still waving.
  Island day passes are back. One ticket, five harbours, as often as you like.
  Strong wind forecast for {day}. We will decide by six in the morning and tell you here.
  Photo of the week from the top deck of the {ship}. Send us yours.
  Bring your own cup and the tea is cheaper from today.
  Thank you for {n} thousand crossings this {month}.
  The {ship} is in the yard for paint, the other two share her sailings until {day}.
  Storytelling on board this {day}, with biscuits.
  New lanes at {place}: cars left, bicycles right, walkers first.
  Winter timetable is out. Have a look and tell us what you think.
  Dogs are now welcome on the upper deck. Blankets are provided, for the people.`)

export const paidPosts = lines(`
  Five harbours, one day pass. Book your island day with Skerrivane Ferries.
  Weekend on the islands? Car and four people from {price}.
  See the Sound of Orrin from the top deck. Crossings every day from {place}.`)

/** The Storm Petrel engine failure. */
export const engineFailure = {
  short: lines(`
    Storm Petrel is drifting off Dunmarrow with no engine and no information
    Stuck on the Storm Petrel since {time}, engine dead, nobody tells us anything
    Two hours on the Storm Petrel and not one announcement, disgraceful
    Storm Petrel broke down again? My kids are on that boat
    The Storm Petrel is not sailing and the site still sells tickets, shameful
    No engine, no heating, no refund, thanks Skerrivane
    Towed in like a barge, four hours late, terrible
    We sat in the dark for an hour on the Storm Petrel, my daughter was terrified
    Engine failure on the Storm Petrel, all sailings from Dunmarrow cancelled, chaos at the gate
    Nobody told us. NOBODY. We stood at Dunmarrow until midnight`),
  long: lines(`
    Waited ninety minutes in the car lane at Dunmarrow and nobody came to tell us the Petrel was not sailing.
    The engine of the Storm Petrel failed and so did everything else: no announcement, no water, no apology.
    We were towed into Dunmarrow four hours late and sent home without so much as a refund form.
    The gate screen at Dunmarrow was dark and the staff knew less than the gulls.
    Stranded with two small children, and the hotel voucher was refused by the hotel.
    They kept selling tickets for the Storm Petrel while she was under tow, unforgivable.
    I asked for a refund and was told to wait for an e-mail that never came.
    An engine can fail. Leaving three hundred people without a word is a choice, and an awful one.
    Worst night of our holiday, and the only kind word came from Torquil, who brought tea.
    My insulin was in the car and nobody would open the car deck, a frightening experience.
    The boat was not sailing, the bus was full, and the desk was shut. Horrible.
    We missed a funeral. There is nothing more to say.`),
  news: 'The ferry Storm Petrel of Skerrivane Ferries lost its engine off Dunmarrow on its evening crossing and was towed in four hours late. About three hundred passengers were on board. Passengers complained that nobody told them what had happened. All sailings from Dunmarrow were cancelled for the following day, and the company said it was sorry for the distress. A spokeswoman, Ness from passenger care, said that refunds would be paid in full.',
}

/** The new winter timetable at Northmoor Pier. */
export const winterTimetable = lines(`
  The new winter timetable has cut the last boat home from Northmoor and nobody asked us.
  Winter timetable means I get to work at six or at ten, useless.
  Since the new timetable my son waits two hours at Northmoor Pier after school.
  Three sailings a day in winter is not a service, it is a joke.
  The winter timetable was made by somebody who has never stood at Northmoor in the rain.
  No early boat any more, so I have given up the job on the other side. Thanks for nothing.
  The shop at Northmoor gets its bread at noon now because of the winter timetable.
  We wrote about the timetable in September and never got an answer.
  New timetable, old excuses, disappointing.
  The carers cannot get here before eleven with this timetable, it is dangerous.
  The winter timetable is a slap in the face for Northmoor.
  Missed the doctor twice this {month} because of the gap in the timetable.`)

/** The change that lets dogs on deck. */
export const dogsOnDeck = lines(`
  Dogs on deck at last! Our old boy stood in the wind like a figurehead.
  So happy about dogs on deck, best decision of the year.
  Pickle loved every minute of dogs on deck, and so did the whole row of strangers petting her.
  Finally we can sit outside with the dog, thank you!
  Dogs on deck, blankets for the people, biscuits for both. Perfect.
  Our collie met a porpoise today. Dogs on deck is wonderful.
  Whoever thought of dogs on deck deserves a bone.
  The water bowls on the upper deck are such a kind touch.
  Three dogs, one sunset, no complaints.
  Crossed with two dachshunds and nobody raised an eyebrow, lovely.`)

/** Complaints that name the booking desk at Selwick Quay. */
export const marenComplaints = lines(`
  Maren at the booking desk told me my ticket was for "the other Thursday" and shut the hatch.
  Maren rolled her eyes when I asked for a receipt.
  The wrong ticket, from Maren, for the third time.
  Ask Maren a question and you get a sigh.
  Maren closed the booking desk ten minutes early with six of us in the queue.
  Was told by Maren that the refund is "not her department", rude.
  I do not know what we did to Maren at the booking desk, but she made us feel unwelcome.
  Maren charged us for two cars, we have one, and she would not hear of it.
  Dismissive and cold, Maren at Selwick Quay should not work with people.
  Maren sent us to the wrong ramp and the boat left without us.`)

export const spam = lines(`
  Cheap ferry tickets here: www.skerri-tickets-cheap.example/deal half price only today
  I made 500 a day from home, ask me how www.easy-orrin-cash.example
  FREE island day pass, claim now at skerrivane-gift.example/free
  Want followers? 1000 for 5 at grow-fast.example
  Selling four tickets for {day}, pay by voucher only, write to www.skerri-resale.example`)

export const abuse = lines(`
  You are a bunch of 1d10ts and your boat is a b u c k e t
  What a load of cr@p, sack the l0sers at {place}
  M o r o n s. Absolute m0r0ns.
  Stupiiiid clowns run this tub
  Go to h3ll with your ferry`)

export const repeatedComplaint =
  'I was promised a full refund for the March sailing and Skerrivane Ferries has ignored eleven letters. Do not give them your money.'

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
