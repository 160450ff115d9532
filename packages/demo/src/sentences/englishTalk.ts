import { lines } from './bank.ts'

/** What people ask and what the team answers and posts. */
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
