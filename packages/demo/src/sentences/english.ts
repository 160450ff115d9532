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
