import { lines } from './bank.ts'

/** What is said about the events of the year, and what nobody wants to read. */
/** The Storm Petrel engine failure. */
export const engineFailure = {
  /** What happened, and what that was like: any two make a post. */
  facts: lines(`
    Storm Petrel is drifting off Dunmarrow with no engine
    Stuck on the Storm Petrel since {time}
    The engine of the Storm Petrel is dead
    Two hours on the Storm Petrel now
    Storm Petrel broke down again, three miles out
    The Storm Petrel is not sailing tonight
    Being towed into Dunmarrow on the Storm Petrel
    Engine failure on the Storm Petrel, all sailings from Dunmarrow cancelled
    My mother is on the Storm Petrel and the lights have gone out
    Four hours late into Dunmarrow on the Storm Petrel
    A tug is coming for the Storm Petrel, they say
    Smoke on the car deck of the Storm Petrel, then silence
    We can see the Storm Petrel from the pier, she is not moving
    No engine and no heating on the Storm Petrel`),
  complaints: lines(`
    and not one announcement, disgraceful
    and nobody tells us anything
    and the site still sells tickets, shameful
    and no refund, they say. Thanks Skerrivane
    and the children are crying
    and the gate screen at Dunmarrow is dark
    and the crew knows no more than we do, poor souls
    and the desk is shut, unbelievable
    and it is getting cold, my kids are terrified
    and there is chaos at the gate
    and the hotel voucher is refused by the hotel
    and Skerrivane does not pick up the phone
    and we will miss the last train
    and somebody has fainted in the lounge
    and only Torquil came round with tea
    and this is the third time this year, awful`),
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
