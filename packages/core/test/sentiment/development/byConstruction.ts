/**
 * Sentences of our own by construction, from many trades: shops, films, restaurants, phones, travel, software, health.
 * Written before they were read by the machine; none is from a published set. One a line, "+" or "-" first.
 */
export const sentencesByConstruction: Record<string, string> = {
  plain: `
+ The grocer always has ripe peaches and a kind word.
+ Gorgeous costumes and a soundtrack I bought the same evening.
+ The noodles were springy and the broth tasted of hours of work.
+ Calls are crystal clear even in the tunnel.
+ Our guide knew every stone of the old town and told it with humour.
+ The new version starts in a second and looks tidy.
+ My physiotherapist listened, explained and fixed my shoulder.
+ Beautifully printed, sturdy binding, quick delivery.
+ Every actor shines and the pacing is perfect.
+ The waiter recommended a wine that we still talk about.
+ Charges in half an hour and lasts two days.
+ Spotless cabin, quiet corridor, comfortable mattress.
+ Support answered within five minutes and solved it.
+ The hygienist was gentle and cheerful.
- The shop assistant rolled his eyes when I asked for a receipt.
- A bloated mess with a script written by committee.
- My steak was grey, cold and tough as a boot.
- The speaker crackles and the volume button fell off.
- The coach broke down twice and the driver shouted at us.
- Since the last update it freezes every few minutes.
- The receptionist was curt and the waiting room smelled of mould.
- Stitching came undone after one wash.
- Predictable plot, flat characters, ugly lighting.
- Greasy fish, limp salad and a sticky table.
- It overheats, reboots and loses my contacts.
- Our room faced a building site and the shower was broken.
- Customer service ignored all four of my letters.
- The dentist hurt me and then overcharged me.`,
  negation: `
+ I can't fault the plumber.
+ There was nothing to dislike about this museum.
+ We never once felt rushed by the staff.
+ This jacket doesn't let a drop of rain through.
+ No queues, no fuss, no hidden costs.
+ You can't go wrong with their lunch menu.
+ I have not had a single problem in three years.
+ The sequel does not disappoint.
+ Never have I slept so well in a hotel.
+ It hasn't crashed once since I installed it.
+ Nobody was rude and nothing was too much trouble.
+ I couldn't ask for a better clinic.
+ The film isn't boring for a second.
+ Without a doubt the finest curry in town.
+ I didn't expect to love it this much.
- The film is neither funny nor clever.
- I wouldn't send my worst enemy to this garage.
- The heating did not work and nobody cared.
- This is not what I ordered.
- It isn't worth the petrol to get there.
- The pharmacist could not have been less interested.
- Not one of the dishes arrived warm.
- We were not offered an apology.
- The screen no longer responds to touch.
- I do not trust this bank any more.
- Hardly anything in the box was usable.
- The manual does not explain a thing.
- There is no excuse for such service.
- I won't be returning to this salon.
- The bag lacks pockets and a proper strap.
- He failed to turn up and never called.`,
  contrast: `
+ It costs more than the others, but it is worth every penny.
+ The seats are worn, yet the performance was magical.
+ Despite the drizzle, the boat tour was a delight.
+ Parking is tricky, however the food makes up for it.
+ I expected little and came out grinning.
+ Though the first chapter drags, the rest is superb.
+ It's noisy, sure, but the atmosphere is fantastic.
+ Delivery took a week; the sofa itself is perfect.
+ A bit pricey but the best shoes I have owned.
+ Even with the delay, the crew kept everyone happy.
+ The plot is silly, but I laughed from start to finish.
+ Not the biggest menu, but everything on it is delicious.
+ I was sceptical at first, now I love it.
+ While the app looks plain, it works flawlessly.
- It looks lovely in the shop, but it fell apart at home.
- The trailer was great; the film is dreadful.
- Friendly staff, but the food was inedible.
- The camera is excellent, unfortunately the battery is useless.
- Despite the glowing reviews, our stay was miserable.
- It used to be a wonderful bakery, now it is a disgrace.
- Pretty packaging, horrible smell.
- The first month was fine, then it stopped charging.
- Although the doctor was nice, the treatment made it worse.
- They apologised, but nothing was ever fixed.
- The idea is brilliant, the execution is a shambles.
- I wanted to like this phone, but it is painfully slow.
- Apart from the view, there is nothing good about this hotel.
- The beds were comfortable, however the noise kept us awake all night.
- Good intentions, poor results.`,
  comparison: `
+ Far better than the chain across the road.
+ The second season is even funnier than the first.
+ This battery outlasts every phone I have had.
+ Nothing else comes close to their sourdough.
+ A huge improvement on the old website.
+ I prefer it to brands that cost twice as much.
+ Cleaner and calmer than any other clinic in the city.
+ The soup was tastier than I dared hope.
+ It beats the previous model hands down.
+ Second to none when it comes to service.
+ More comfortable than my own bed.
+ As good as the restaurant in the old town, and cheaper.
+ The smoothest crossing we have ever had.
+ None of the other apps is half as quick.
- Worse than the hospital canteen.
- My old phone was faster than this one.
- The book is so much better than this film.
- I have had better pizza at a petrol station.
- It is slower than walking.
- The cheapest hotel of the trip was nicer than this.
- Less reliable than a weather forecast.
- There are much better headphones for half the money.
- It tastes more like cardboard than bread.
- The worst of the three dentists I have seen.
- This update is a step back.
- Not nearly as sharp as the picture on the box.
- Even the free version of the other program does more.
- The sequel cannot hold a candle to the original.
- We got more help from the vending machine.`,
  wishes: `
+ I wish every waiter were like her.
+ If only all films were this honest.
+ I hope they never change this recipe.
+ I wish I had bought two.
+ Would that all clinics took such care.
+ I can't wait to come back.
+ We'd happily have stayed another week.
+ I only wish we had found this place sooner.
+ I would buy it again in a heartbeat.
+ Hope they open one in my town.
- I wish they had told us the kitchen was closed.
- It would be nice if someone answered the phone.
- If only the zip did not jam.
- I hoped for a quiet room and got a disco.
- They should train their staff.
- A working lift would have helped.
- Could have been a great film with a better script.
- I want my money back.
- It needs a stronger hinge and a brighter screen.
- I would have expected clean towels at this price.
- Please bring back the old version.
- You'd think a hotel could manage a warm breakfast.
- I should have read the reviews first.
- Somebody ought to tell the chef about salt.
- If you value your time, go elsewhere.`,
  idiom: `
+ The new café hits the spot.
+ This little radio punches above its weight.
+ They went out of their way to help us.
+ The tailor saved my day.
+ Hats off to the whole cast.
+ It works like a charm.
+ A breath of fresh air among crime novels.
+ The mechanic knows his stuff.
+ You get a lot of bang for your buck.
+ The lamb was to die for.
+ Our driver was worth his weight in gold.
+ This program is a lifesaver.
+ They pulled out all the stops for our anniversary.
+ Two thumbs up from the whole family.
+ The finale blew me away.
- What a waste of space.
- The repair cost an arm and a leg.
- They left us high and dry.
- The ending fell flat.
- This kettle is a piece of junk.
- Booking a slot was like pulling teeth.
- The garage took us for a ride.
- Their hotline is a joke.
- It went downhill from the starter on.
- A total rip-off.
- The film put me to sleep.
- I was at the end of my rope with this router.
- The menu left a bad taste in my mouth.
- Steer clear of this agency.
- They dropped the ball on our order.
- The landlord gave us the runaround.`,
  emoji: `
+ Finally got the new lamp 😍
+ The ramen place by the station 🤤🔥
+ Two weeks with the new phone ❤️
+ Best seats in the house 🎉🎉
+ Nurse Ada 👏👏👏
+ This dessert though 😋
+ Our crossing this morning 🥰
+ Ten out of ten 💯
+ New haircut, new me 😊
+ Dinner on the terrace :)
- Third time the parcel is lost 😡
- Dinner at the new place 🤢
- My screen after one fall 😭
- Waiting for the bus since seven 😤
- That film 👎
- The hotel pool 🤮
- Update installed, everything gone 💀😩
- On hold again 🙄
- Wrong size, again 😒
- Room with a view of the bins :(`,
  understatement: `
+ Not bad at all for a bus station café.
+ The soup was no small triumph.
+ I have seen worse views.
+ She is not unhelpful, to put it mildly.
+ You could do a lot worse than this guest house.
+ I am not displeased with the new mower.
+ The price did not hurt.
+ It was not without charm.
+ The dentist is hardly a torturer, I even dozed off.
+ Not too shabby for a first novel.
- The service left something to be desired.
- The room was less than clean.
- Not exactly a feast.
- The film did little for me.
- It is not the quickest laptop.
- The staff were not overly keen to help.
- I was somewhat underwhelmed by the main course.
- Let us say the band had better days.
- The instructions could be clearer.
- It does not quite do what the box says.
- My enthusiasm faded somewhat after the second hour.
- The waiter was a touch forgetful.`,
  irony: `
- Great, the app logged me out again.
- Oh wonderful, another price rise.
- Thanks for nothing.
- Nice job losing my luggage twice.
- Just what I needed, a flooded bathroom.
- Well done on answering after six weeks.
- So much for next-day delivery.
- What a surprise, it broke.
- Because who needs heating in January.
- I just love waiting forty minutes for a cold tea.`,
}

/** The sentences as rows. */
export const constructedSentences = Object.entries(sentencesByConstruction).flatMap(([construction, lines]) =>
  lines
    .trim()
    .split('\n')
    .map((line) => ({
      construction,
      sentiment: line.startsWith('+') ? ('positive' as const) : ('negative' as const),
      text: line.slice(2),
    })),
)
