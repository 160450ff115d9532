/** Set phrases whose sense is not the sum of their words. "_" stands for one or two words of any kind. */
export const englishIdioms: Record<string, string[]> = {
  '3.2':
    `blown away|blew me away|blew us away|blows away|second to none|out of this world|to die for|hits the spot|hit the spot|
    hit it out of the park|knocked it out of the park|above and beyond|extra mile|can't go wrong|cannot go wrong|can not go wrong|
    couldn't be happier|could not be happier|couldn't be more pleased|couldn't be better|could not be better|
    couldn't have been better|could not have been better|couldn't fault|could not fault|can't fault|cannot fault|
    can't say enough|cannot say enough|can't recommend _ enough|cannot recommend _ enough|can't recommend enough|can't praise|cannot praise|
    can't get enough|can't beat|cannot be beat|can't be beat|can't be beaten|hard to beat|never disappoints|never disappointed|never disappoint|
    never fails|never failed|never fail|never let me down|never let us down|no complaints|no complaint|nothing but praise|nothing but good|
    nothing but great|nothing but positive|no problems|no issues|no trouble|without a hitch|without any problems|without any issues|
    without a problem|works like a charm|worked like a charm|like a dream|like a charm|a must|must see|must read|must visit|must try|must buy|
    five stars|5 stars|five star|5 star|10 out of 10|ten out of ten|10/10|two thumbs up|thumbs up|hats off|a must have|must have for|well handled|handled well|well organised|well organized|well run|well made|well kept|well looked after|well explained|well thought out|well presented|well trained|well stocked|well done|good job|great job|
    nice job|keep up the good|made my day|made our day|best ever|one of the best|the best|all the best things|beyond my expectations|
    beyond expectations|exceeded my expectations|exceeded our expectations|exceeded expectations|exceeds expectations|
    better than expected|better than i expected|better than advertised|well worth|worth every penny|worth every cent|worth the money|worth the price|
    worth the wait|worth the trip|worth the drive|worth a visit|worth it|worth seeing|worth watching|worth checking|worth the time|great value|good value|value for money|
    bang for the buck|bang for your buck|bang for my buck|look no further|highly recommend|highly recommended|would recommend|definitely recommend|will be back|
    will definitely be back|be going back|we'll be back|i'll be back|will return|will definitely return|will come back|can't wait to go back|
    can't wait to return|can't wait to try|coming back for more|cannot wait to go|cannot wait to return|keep coming back|keeps me coming back|going back for|on point|on the money|spot on|top notch|
    first class|first rate|world class|top quality|high quality|good quality|great quality|state of the art|life saver|blown us away|
    edge of my seat|edge of your seat|stands the test of time|steals the show|steal the show|stole the show|tour de force|feel good movie|laugh out loud|
    laughed out loud|glued to|could not put it down|couldn't put it down|no regrets|wouldn't change a thing|would not change a thing|
    wouldn't hesitate|would not hesitate|don't hesitate|do not hesitate|don't miss|do not miss|not to be missed|never a dull|never dull|never gets old|
    never get tired|never boring|never bored|long may it|god bless|thank you|many thanks|big thanks|melt in your mouth|melts in your mouth|melted in my mouth|cooked to perfection|
    done to perfection|hidden gem|pleasant surprise|pleasantly surprised|go to place|my go to|here to stay|love at first|in heaven|happy camper|nothing short of|no wonder everyone loves|
    nothing beats|what more could|a steal|great deal|good deal|one of a kind|kind crew|kind staff|kind people|kind driver|kind owner|kind owners|kind host|kind hosts|kind lady|kind man|kind nurse|kind to|kind and|fell in love|fall in love|in love with|big fan|huge fan|hooked on|five out of five|take my breath away|took my breath away|cheered me up|cheered us up|two thumbs`.split(
      '|',
    ),
  '1.6':
    `not bad|not bad at all|not too bad|not half bad|not too shabby|not disappointed|won't be disappointed|will not be disappointed|wasn't disappointed|
    were not disappointed|was not disappointed|weren't disappointed|wont be disappointed|won't disappoint|doesn't disappoint|does not disappoint|didn't disappoint|did not disappoint|don't regret|do not regret|
    won't regret|will not regret|not regret|what's not to like|what is not to like|what's not to love|no fuss|no nonsense|no hassle|not a problem|not an issue|no worries|problem solved|
    does the job|did the job|gets the job done|got the job done|do the job|does the trick|did the trick|does what it says|does exactly what|does its job|
    as advertised|as described|as expected|as promised|just what i needed|just what we needed|just right|exactly what i wanted|exactly what i needed|exactly what we needed|
    works great|works well|works fine|worked well|worked great|works perfectly|fits well|fits great|fits perfectly|fit perfectly|fit well|looks good|looks great|sounds good|sounds great|tastes good|feels good|
    holds up|good price|great price|reasonable price|reasonably priced|fairly priced|well priced|good prices|great prices|right price|fair price|on time|ahead of schedule|
    easy to use|simple to use|easy to set up|easy to install|easy to follow|user friendly|back for more|going back again|come back again|recommend this|
    recommend it|recommend to|give it a try|give them a try|give it a go|check it out|check this out|check this place out|buy it|get it now|not expensive|not overpriced|
    never had a problem|never had any problems|never had an issue|not had any problems|no problem|so far so good|all good|plenty of|nothing to complain|can't complain|cannot complain|
    made sure|took care of|takes care of|take care of us|on top of|in no time|right away|straight away|right on time|in good condition|in great condition|like new|good as new|good as gold|stands out|stood out|kept us informed|kept informed|
    at ease|made us feel welcome|made me feel welcome|made us feel at home|made me feel at home|made us feel special|made me feel special|made to feel welcome|made to feel special|made to feel at home|took the trouble|go to the trouble|went to the trouble|felt welcome|feel welcome|feel at home|felt at home|with a smile|good laugh|fun for all|kept me entertained|holds your attention|held my attention|never felt rushed|easy on the eyes|easy on the wallet|heart warming|clear as a bell|crystal clear|loud and clear`.split(
      '|',
    ),
  '0.1':
    `kind of|sort of|not only|not just|as well|as well as|at least|at best|thank god|would like to|i'd like to|like to know|a lot like|looks like|
    look like|feels like|feel like|seems like|sounds like|tastes like|smells like|something like|like a|like an|like the|like this|like that|like it was|
    good morning|good afternoon|good evening|good day|good luck|good friday|in good time|better half|best friend|best friends|best western|best regards|kind regards|
    worst case|fair enough|fair share|for free|free of charge|no matter|no doubt|no wonder|no time|no less|no longer than|
    a good deal of|great big|a great deal of|pretty much|well known|well aware|super market|happy hour|happy birthday|hot dog|sweet potato|cold drink|cold drinks|cold beer|ice cold|
    fresh air|fast food|long time|dead sea|mean to|means that|i mean|mean that|in mean time|hard drive|hard case|soft drink|light bulb|old friend|bug screen|love story|love stories|love song|love songs|love interest|
    fun fact|funny thing is|play well|bright side|just fine print|fine print|fine dining|right hand|interest rate|value meal|trust fund|fix up|sale price|full price|half price|make sense|no charge|excuse me|if you like|so called|good old|
    comedy of errors|bad guy|bad guys|good guy|good guys|bad boy|evil dead|lost and found|cool down|warm up|cold day|cold weather|bad weather|rough weather|rough seas|grand total|wait for|waited for|wait to|waiting list|waiting room|waiting for|can't wait|cannot wait|can not wait`.split(
      '|',
    ),
  '-1.6':
    `at best average|nothing special|nothing to write home about|nothing great|nothing new|nothing impressive|nothing spectacular|not very good|not so good|not worth|
    isn't worth|ain't worth|not that great|not that good|not all that|not up to|not what i expected|not what we expected|not as good|not as described|not as advertised|not as pictured|not the best|not really good|
    could have been better|could've been better|should have been better|could do better|could use|could have used|could improve|
    needs work|need work|needs improvement|room for improvement|needs to be fixed|needs to improve|so so|hit or miss|hit and miss|meh|average at best|at best mediocre|middle of the road|run of the mill|nothing more than|
    used to be good|used to be great|used to love|used to be better|used to like|used to be my favorite|used to work|gone downhill|went downhill|going downhill|goes downhill|gone down|not anymore|
    past its prime|on the decline|for that price|at that price|price is high|high price|high prices|too expensive|too much money|costs too much|
    left wanting|left hungry|still hungry|leaves a lot to be desired|leaves much to be desired|left a lot to be desired|left much to be desired|leave a lot to be desired|something to be desired|fell short|falls short|fall short|came up short|short of expectations|
    fell flat|falls flat|fell apart|falls apart|fall apart|fall off|falls off|falls out|fall out|fell out|wears off|wore off|wore out|wears out|came off|came apart|broke down|breaks down|broke off|gave up|gives up|gave out|
    never again|i'll pass|we'll pass|will pass|pass on this|think twice|buyer beware|beware|be warned|be careful|stay home|look elsewhere|go elsewhere|shop elsewhere|went elsewhere|going elsewhere|somewhere else|
    took forever|takes forever|take forever|took ages|takes ages|took so long|takes too long|took too long|long wait|waited over|waited almost|waited an hour|waited 30|waited 40|waited 45|waited forever|been waiting|still waiting|kept waiting|had to wait|
    had to call|had to return|had to send|have to return|sent it back|send it back|sent back|returned it|returning it|return it|taking it back|wants his money|want my money|threw it|throw it|
    hard to hear|hard to read|hard to use|hard to find|hard to get|hard to believe|hard to follow|hard to understand|hard to see|difficult to use|difficult to hear|difficult to|can't hear|can't understand|
    cuts out|cut off|cutting out|drops calls|dropped calls|dead battery|dies quickly|died after|stopped working|stops working|quit working|quits working|quit after|doesn't work|does not work|didn't work|did not work|won't work|not working|not work|
    doesn't fit|does not fit|didn't fit|not compatible|doesn't hold|does not hold|won't hold|won't stay|doesn't stay|does not stay|not functional|doesn't last|did not last|didn't last|battery life is short|
    plot holes|plot hole|no plot|no point|lacks depth|paper thin|one dimensional|cardboard|over the top|over acted|all over the place|makes no sense|made no sense|make no sense|doesn't make sense|what were they thinking|who cares|couldn't care less|
    don't care|didn't care|walked out|fell asleep|put me to sleep|puts you to sleep|turn it off|watch the clock|checking my watch|sit through|drags on|dragged on|goes nowhere|went nowhere|
    if only|i wish|we wish|supposed to be|supposed to|was supposed|were supposed|get what you pay for|cost cutting|paid for nothing|nothing happened|
    turned away|nobody told|no one told|nobody came|no one came|nobody answers|no one answers|no answer|no reply|no response|no explanation|no apology|no information|no help|not sailing|did not sail|didn't sail|missed our|missed my|missed the|
    on hold|ran out|runs out|out of order|out of stock|out of service|sold out|cold food|food was cold|came out cold|arrived cold|came cold|served cold|cold fries|cold inside|
    too bad|not enough|only one good|the only good|only good thing|first and last time|last time i`.split(
      '|',
    ),
  '-3.2':
    `waste of time|waste of money|waste your time|waste your money|waste my time|waste of space|waste of film|waste of talent|complete waste|total waste|wasted my|wasted our|don't waste|do not waste|dont waste|
    save your money|save your time|don't bother|do not bother|dont bother|don't buy|do not buy|dont buy|don't go|do not go|don't eat|don't order|do not order|don't see|stay away|steer clear|keep away|run away|stay clear|avoid at all costs|avoid like the plague|avoid this|
    would not recommend|wouldn't recommend|not recommended|do not recommend|don't recommend|cannot recommend|can't recommend|won't recommend|never recommend|
    won't be back|will not be back|won't be going back|not be back|never be back|not be returning|won't be returning|won't go back|will not go back|never go back|not going back|never going back|never return|not return|won't return|never come back|not come back|won't come back|not coming back|never coming back|wouldn't go back|would not go back|never eat|never order|never buy|never set foot|never step foot|
    never use|lost my business|lost a customer|lost us as|last time we|worst ever|one of the worst|the worst|joke of a|what a joke|is a joke|zero stars|0 stars|one star|1 star|no stars|minus stars|negative stars|
    rip off|ripped off|rips off|ripping off|piece of junk|piece of crap|piece of trash|piece of garbage|piece of shit|pile of|load of crap|thumbs down|two thumbs down|shame on|let down|lets down|letting us down|let me down|let us down|big let down|
    slap in the face|kick in the teeth|last straw|final straw|food poisoning|made me sick|made us sick|got sick|feel sick|threw up|throw up|hair in my|fly in my|bug in my|a bug in|rotten apple|
    fed up|sick of|tired of|sick and tired|had enough|pissed off|ticked off|beyond annoyed|at the end of my|pulling my hair|gone wrong|went wrong|goes wrong|go wrong|nothing works|nothing worked|
    nothing good|not a good|no good|no better|no good at all|not good at all|not at all good|good for nothing|not even worth|isn't even worth|not worth it|not worth the|no stars|not a fan|asleep at the wheel|fake tickets|horror show|in the garbage|in the trash|in the bin|down the drain|hot mess|a mess|make me sick|insult to|no excuse|disgrace|gross`.split(
      '|',
    ),
}
