/** Further set phrases: exact hits and misses, similes, and what people say they did or would do. "_" is one or two words. */
export const furtherEnglishIdioms: Record<string, string[]> = {
  '2.4':
    `exactly what i was looking for|exactly what we were looking for|just what i was looking for|exactly as described|exactly as pictured|everything i wanted|everything i needed|everything i hoped|
    everything i expected|everything we hoped|everything it promises|everything it should be|everything you could want|everything you need|all i needed|all i wanted|a lot of _ for the money|a lot for the money|
    would watch again|would watch it again|would see it again|would read it again|would buy again|would buy it again|would buy another|would order again|would order it again|will order again|will buy again|will buy another|
    would go again|would go back|would stay again|would use again|would eat here again|watch it again|watch it over and over|see it again|bought another|bought a second|bought two more|bought three more|ordered another|ordered two more|
    could eat here|could eat this|could watch _ again|could listen to|could have stayed|wish i had found|wish i had bought|wish i'd found|wish i'd bought|wish we had found|wish there were more|
    kept me guessing|keeps you guessing|keep you guessing|kept us guessing|kept me on the edge|laughed until|laughed so hard|laughed all the way|laughing out loud|cried laughing|sides hurt|stays with you|stayed with me|stay with you|grows on you|grew on me|
    huge portions|large portions|generous portions|big portions|portions are huge|portions are large|portions are generous|portions are big|portions were huge|portions were generous|portions were large|
    be regulars|a regular here|a regular now|become regulars|remembers your name|remembers my name|remembered my name|remembered our names|remembers your order|remembered my order|on the house|comped|free of charge and|
    won't be sorry|will not be sorry|wont be sorry|not be sorry|knows exactly what|knew exactly what|knows what he is doing|knows what she is doing|know what they are doing|know their stuff|knows his stuff|knows her stuff|knew their stuff|
    beer was cold|beers were cold|drinks were cold|cold beer|place to be|worth the drive|worth driving|worth every bite|worth twice|worth double|stays put|stays in place|stay in place|holds its charge|held its charge|
    fits like a glove|fit like a glove|like a glove|true to size|arrived early|arrived quickly|came quickly|day early|days early|ahead of time|no dropped calls|never drops|never dropped|never had to|no static|no more tangled|no lag|no waiting|no wait|
    saved my life|saved the day|saved me|life changing|changed my life|makes life easier|made life easier|makes my day|game changer|feel like family|treated like family|treats you like family|treated us like|
    had a blast|had a ball|had a great time|great time|fun time|fun to watch|joy to|pleasure to|treat to|delight to|hat off|kudos to|props to|shout out|shoutout|cream of the crop|head and shoulders above|a cut above|real deal|the bomb|
    to the bone and|big hit|a hit with|huge hit|was a hit|loved every minute|enjoyed every minute|every minute of it|every bite|left wanting more|can't put it down|can't live without|couldn't live without|
    far better|much better than|way better than|better than any|better than most|best part|nothing better|none better|no better place|no complaints here|zero complaints|zero issues|zero problems|one of my favorite|one of my favourite|one of our favorite|my favorite|our favorite|my go to`.split(
      '|',
    ),
  '-2.2':
    `not send my worst|made us feel like|made me feel like|made to feel like|made us feel stupid|made me feel stupid|made me feel small|made us feel unwelcome|made to feel unwelcome|made me feel unwelcome|held us up|held up everybody|held up everyone|badly organised|badly organized|poorly organised|poorly organized|badly run|badly handled|poorly handled|badly explained|stood there for|stood in the|must have been joking|hit with a fee|hit with a charge|cannot even|can not even|can't even|could not even|couldn't even|cannot even complain|can't even complain|couldn't even complain|could not even complain|wouldn't wish on|wouldn't send my|wouldn't send a|hung up on|hangs up on|like cardboard|like rubber|like leather|like shoe leather|like plastic|like sawdust|like dishwater|like a tin can|like a school project|like a home movie|like dirt|like soap|like paste|like glue|like a joke|like crap|like shit|like garbage|like trash|
    from a can|out of a can|from a jar|from a box|out of a box|airline food|hospital food|school cafeteria|cafeteria food|dog food|cat food|fast food quality|lasts maybe|lasts only|lasted only|only lasts|only lasted|barely lasts|barely lasted|lasts about an hour|
    only works if|only works when|only worked for|only worked once|worked once|works only|worked for a week|worked for a day|worked for about|works sometimes|sometimes works|works half the time|more holes than|charisma of a|personality of a|depth of a|acting ability of|
    tries too hard|trying too hard|tried too hard|and never is|but never does|never takes off|never goes anywhere|never gets going|never comes together|hair in the|hair in our|hair on my|flies in|
    expect more|expected more|expected better|expect better|expecting more|hoped for more|hoping for more|thought it would be|thought it was going to|asked twice|asked three times|ask twice|ask three times|asked several times|rather eat|rather watch|would rather|i'd rather|
    ended up throwing|ended up returning|ended up leaving|had to throw|have to throw|went in the trash|went straight|straight in the bin|straight to the trash|back to the store|back where it came|sending it back|sent mine back|sending this back|
    hours of my life|minutes of my life|never get back|want my time back|want the time back|could not wait for it to|couldn't wait for it to|wait for it to be over|wait for it to end|waiting for it to end|glad when it was over|glad it was over|looked at my watch|looking at my watch|checking the time|
    small portions|tiny portions|portions are small|portions are tiny|portions were small|portions were tiny|portion was small|portion was tiny|not enough food|small tiny high for what|pricey for what|expensive for what|too much for what|not much for the|
    nothing to recommend|little to recommend|nothing but trouble|nothing but problems|nothing but a|nothing about|nothing left to|nothing here|no redeeming|no substance|no style|no chemistry|no flavor|no flavour|no taste|no seasoning|no suspense|no story|no value|no quality|no manners|no sense of|no effort|no respect|no warmth|
    lost interest|losing interest|lost my interest|lose interest|lost our|lost my order|lost my reservation|forgot about us|forgot our|forgot to bring|got my order wrong|got our order wrong|got it wrong|wrong order|wrong color|wrong colour|wrong item|
    charged us for|charged me for|charged twice|charged extra|hidden charges|bait and switch|false advertising|falsely advertised|not as advertised|looks nothing like|nothing like the|nothing like what|misled by|fooled by|fell for|
    came apart|came loose|came undone|falling apart|falling off|breaks easily|broke easily|broke after|broke within|broke in|cracked after|tore after|ripped after|gave out|giving out|went dead|goes dead|drops constantly|constantly drops|cuts in and out|breaks up|static on|
    got what i paid for|get what you paid for|you get what you pay|cheaply made|poorly made|poorly designed|badly made|badly designed|badly written|poorly written|badly acted|poorly acted|bad acting|bad writing|bad script|poor acting|poor quality|low quality|bad quality|poor service|bad service|slow service|terrible service|
    think again|keep looking|keep walking|keep driving|look somewhere else|find another|find something else|buy something else|try somewhere else|go somewhere else|choose another|better off|save yourself|spare yourself|skip it|skip this|pass on|steer away|thumbs way down|
    last straw|last visit|last time we|last time i|first and last|our last|my last visit|won't be returning|not be returning|no reason to|no intention of|shame because|such a shame|what a shame|what a waste|what a disappointment|what a mess|what a rip|what a letdown|
    sat there for|sat for|stood in line|left waiting|made us wait|made me wait|kept us waiting|waited and waited|took an hour|took over an hour|took 45|took 40|took 30|took almost an hour|over an hour|half an hour for|an hour late|minutes late|hours late|
    ignored us|ignored me|ignoring us|walked past us|walked right past|rolled her eyes|rolled his eyes|rolled their eyes|eye roll|gave us attitude|had an attitude|bad attitude|attitude problem|talked down|acted like we|didn't care|does not care|doesn't care|could care less|
    sick all night|sick afterwards|sick the next|made me ill|stomach ache|stomach hurt|upset stomach|left a bad|bad taste|bad smell|smelled like|smells like|smelled bad|smells bad|smelt of|smelled of|stank of|reeked of`.split(
      '|',
    ),
  '1.9':
    `punches above|punch above|punched above|breath of fresh air|pulled out all the stops|pull out all the stops|pulls out all the stops|nothing comes close|nothing else comes close|no one comes close|makes up for|made up for|more than makes up|
    can't wait|cannot wait|cant wait|never change|don't ever change|hope they keep|hope it lasts|hope they open|i wish every|we wish every|i wish all|i wish more|if only every|if only all|if only more|i wish i had bought|wish i had bought|
    outlasts|outlasted|outshines|outshone|outperforms|outperformed|outclasses|leaves the others behind|leaves the rest behind|in a league of|league of its own|league of their own|runs rings around|
    went the distance|goes the distance|kept their word|keeps its word|delivers on|lives up to|lived up to|ticks every box|ticked every box|ticks all the boxes|ticked all the boxes|checks all the boxes|
    raises the bar|raised the bar|sets the bar|set the bar|sets the standard|gold standard|worth its weight|worth his weight|worth her weight|music to my ears|feast for the|a treat|sight for sore|
    can do no wrong|put my mind at|put our minds at|put me at ease|put us at ease|took the time|took time to|nothing was too much|no stone unturned|all the difference|made the difference|
    restored my faith|restores my faith|could not have asked|couldn't have asked|nothing to fault|without fault|faultless|bring back memories|brought back memories|happy tears|tears of joy`.split(
      '|',
    ),
  '-1.9':
    `logged me out|logs me out|logging me out|kicked me out|locked me out|locks me out|price rises|price hike|price hikes|price increase|an arm and a leg|pulling teeth|took us for a ride|took me for a ride|taken for a ride|taking us for a ride|the runaround|run around in circles|step back|step backwards|step backward|step in the wrong|did little for|does little for|did nothing for|does nothing for|
    kept us awake|kept me awake|kept us up|kept me up|thanks for nothing|thank you for nothing|so much for|you'd think|you would think|cold comfort|last legs|on its last legs|bitter pill|slap in the face|kick in the teeth|salt in the wound|
    add insult|adds insult|up the creek|out of pocket|down the drain|down the pan|up in smoke|back to square one|square one|wild goose chase|dead end|brick wall|banging my head|tearing my hair|pulling my hair out|drove me up|drives me up|drove me mad|drives me mad|
    gets on my nerves|got on my nerves|rubs me up|rubbed me up|final straw|beggars belief|leaves me cold|left me cold|left us cold|all talk|smoke and mirrors|all show|style over substance|no more than a|passed from pillar|pillar to post|washed their hands|washed its hands|
    turned a blind|turned a deaf|fell on deaf|cut corners|cutting corners|cuts corners|too little too late|good luck getting|good luck finding|good luck reaching|good luck with that|lip service|penny pinching|nickel and dime|nickel and dimed|through the nose|for a song no`.split(
      '|',
    ),
  '-1.1':
    `they should|someone should|somebody should|staff should|management should|ought to|should have known|should have read|should have listened|should've known|please bring back|bring back the|who needs|needs to learn|need to learn|would have expected|would expect|
    time to move on|better days|had its day|past its best|past their best|run its course|leaves much|left much|leaves a lot|left a lot|more bark than|not quite what|could be clearer|could be faster|could be cleaner|could do better|must do better|room for improvement`.split(
      '|',
    ),
}
