/**
 * Our own English words of opinion, by valence from -4 to 4, written from the language of customers of many trades.
 * They go over the published lists: where both know a word, this one counts.
 */
export const englishWords: Record<string, string> = {
  '3.4': `amazing awesome outstanding superb phenomenal spectacular exceptional sublime divine flawless perfect
    perfection magnificent brilliant fantastic fabulous incredible unbeatable unforgettable masterpiece stellar
    stunning exquisite extraordinary breathtaking mindblowing mesmerizing mesmerising best heavenly faultless
    impeccable unparalleled unsurpassed fab top-notch topnotch scrumptious scrummy marvelous marvellous glorious
    peerless immaculate splendid terrific wonderful wonderfully beautifully perfectly brilliantly superbly
    flawlessly outstandingly exceptionally-good excellently masterfully masterful gem treasure knockout`,
  '2.8': `excellent delicious great love loved loves loving adore adored adores tasty yummy delightful gorgeous
    beautiful lovely charming impressive impressed superior thrilled delighted enjoyable enjoyed enjoy enjoys
    hilarious riveting gripping captivating enchanting engrossing compelling moving touching heartwarming
    memorable remarkable hooked addictive addicting favorite favourite favorites favourites flavorful flavourful
    flavoursome succulent mouthwatering juicy-tender highly-recommended must-have must-see winner wow yum luscious
    uplifting inspiring inspired dazzling joyous joyful joy bliss blissful ecstatic elated radiant champion
    lifesaver life-saver godsend spotless pristine ingenious genius phenomenally rocks rocked unreal legend
    legends legendary heroic hero heroes angel angels saint superstar rockstar gracious grateful gratitude
    thoughtful heartfelt pleasure pleasures bravo kudos congratulations congrats blown-away wonders`,
  '2.2': `good happy pleased satisfied satisfying satisfactory-good nice friendly helpful attentive courteous
    polite welcoming warm professional knowledgeable efficient reliable dependable comfortable comfy cozy cosy
    convenient durable sturdy solid well-made crisp fresh fresher freshest tender juicy moist crispy crunchy
    creamy generous affordable reasonable reasonably bargain economical fair prompt promptly quickly speedy
    recommend recommended recommending recommends recommendation clean tidy spacious relaxing relaxed
    calm peaceful quiet scenic picturesque fun funny entertaining witty clever smart charismatic sweet cute
    adorable stylish elegant sleek classy gifted talented skilled accurate responsive intuitive effortless
    effortlessly seamless seamlessly smooth smoothly easily handy useful versatile vibrant lively refreshing
    authentic innovative creative imaginative original believable convincing realistic poignant thrilling
    exciting excited interesting intriguing fascinating absorbing engaging thanks thank thankful appreciate
    appreciated appreciates appreciative glad love-it accommodating considerate caring compassionate patient
    kind kindness kinder generous hospitable hospitality cheerful smiling smile smiles smiled friendliness
    worthwhile rewarding bonus perk perks hit success successful successfully wins flavor-packed savory
    luxurious luxury plush soft cushy ergonomic rugged lightweight portable sharp bright vivid loud-and-clear
    pleasant pleasantly pleasing improved improvement improves improving upgraded thoroughly-clean nicely neatly
    wise sincere sincerely honest honestly-good trustworthy transparent fairness respectful respected respectfully
    welcomed reassuring reassured reassurance soothing gentle painless hassle-free stress-free trouble-free
    speedily punctual on-time charm charms delight delights delightfully treat treats treated-well spoiled-us
    bright-eyed first-rate first-class world-class five-star state-of-the-art user-friendly child-friendly
    dog-friendly kid-friendly family-friendly well-acted well-written well-cooked well-organised well-organized
    well-run well-kept well-maintained well-behaved well-worth well-done well-designed well-built eye-catching
    magical magic romantic tasteful stunningly nostalgic timeless classic bold proud proudly pride
    seasoned-well aromatic zesty hearty wholesome filling piping-hot homemade delectable`,
  '1.4': `fine decent ok-good okay-good adequate acceptable satisfactory fits works worked functional
    functioning worth affordable inexpensive cheaply-priced improved clear clearly helped helps help
    handles glad fast faster fastest quick quicker quickest simple simply-works easy easier easiest ease
    better likes liked liking likable likeable loud-enough safe safely secure securely compact
    popular unique varied variety diverse authentic-ish tempting likeable cool neat sweetness crispness value
    deal deals steal bargain-price works-well clean-cut sturdy-enough ample plenty enough-room roomy
    stable steady consistent consistently consistency competent capable compatible intact instantly
    prompt-enough sensible attractive pretty-good charmingly amused amusing chuckle laughed laugh laughs laughing
    humor humour humorous grin touched tears-of-joy comfort comfortably comforting comforts cared
    calmly restful fond fondly hopeful promising worthy valued valuable trusted trust reassure rejuvenated
    resolved sorted fixed solved rescued saved restored refunded-promptly replaced-quickly upgraded
    discount freebie complimentary refund-given explained attentively carefully gently patiently politely
    warmly cheerfully gladly happily smoothly-run swiftly swift pro pros advantage advantages benefit benefits
    ideal superb-value strong stronger tops talent wit depth nuance nuanced subtle subtlety artful artistry lush
    suspenseful suspense pacy atmospheric catchy melodic tuneful catchier haunting haunting-beauty thrill thrills`,
  '-1.4': `average-at-best mediocre meh bland so-so lacking lacked lacks lack limited dated outdated old-fashioned
    worn scuffed creaky noisy loud crowded cramped cluttered tight pricey expensive costly overlong lengthy
    slow slower slowest slowly sluggish laggy lag lags lagging late later-than-promised delayed delays delay queue-jumping
    wait waiting queues long-wait greasy oily salty soggy chewy cold lukewarm stale tough
    fatty rubbery runny watery undercooked overcooked burnt burned raw mushy sloppy messy sticky dusty
    confusing confused confuse unclear complicated awkward clumsy clunky cumbersome bulky heavy flimsy fragile
    plasticky brittle loose wobbly squeaky scratchy scratched scratch scratches blurry grainy fuzzy dim dull
    predictable formulaic cliche cliched cliché clichéd clichés cliches contrived forced stilted uneven
    overrated over-rated overhyped hype underwhelming underwhelmed forgettable generic uninspired unoriginal
    repetitive unremarkable ordinary plain weird odd oddly strange uncomfortable inconvenient annoying-ish missing
    missed miss skipped ignored ignore unsure doubtful doubt doubts questionable suspicious suspect
    problem problems issue issues trouble troubles troubled complaint complaints complain complained complaining
    glitch glitches glitchy bug bugs buggy crash crashes crashed freezes froze error errors fault faults faulty
    defect defects flaw flaws flawed weak weaker weakest weakness poorly-lit leak leaks leaked leaking leaky
    drain drains drained drops cuts-out static distorted distortion interference muffled tinny
    unavailable cancelled canceled cancellation cancellations cancels cancelling stranded stuck
    hassle hassles bother bothered bothers bothersome fuss nuisance inconvenience inconvenienced inconveniences
    con cons downside downsides drawback drawbacks negative negatives disadvantage complains grumpy moody
    brusque curt abrupt distracted inattentive unattentive impersonal cold-hearted sigh shrug boredom
    forgot forgotten neglected neglect overlook overlooked unanswered unresolved unfinished incomplete untidy
    sad sadly unfortunately unfortunate regret regrets regretted regrettable regrettably alas oops mistake
    mistakes mistaken wrong wrongly incorrect incorrectly inaccurate misleading inconsistent inconsistently
    impractical unnecessary pretentious preachy cheesy corny sappy melodramatic overdone overacted overacting
    underdeveloped half-baked unfunny slow-moving slow-paced draggy drags dragged drag tedious tiresome dragging
    smelly smell-of stink musty stuffy dingy drab dreary shabby rundown run-down tacky tired gloomy bleak
    unreliable unstable uneven-service pointless shallow hollow lifeless bloated convoluted incoherent
    shame closed refused refusal denied deny rejected failing decline declined worsened worsen worsening
    hidden-fees fees surcharge surcharges expensive-for expired dent dented dents cracked crack cracks chipped
    torn tore rip rips ripped frayed stained stain stains peeling peeled faded rust rusty rusted bent broken-down`,
  '-2.2': `bad badly poor poorly disappointing disappointed disappoint disappoints disappointment disappointments
    disappointingly letdown let-down unhappy dissatisfied unsatisfied unsatisfactory unsatisfying dissatisfying
    dissatisfaction displeased upset upsetting frustrating frustrated frustration frustratingly annoying annoyed
    annoyance annoys irritating irritated irritates irritation boring bored bores tasteless flavorless flavourless
    unpleasant unfriendly unhelpful unprofessional uncaring unwelcoming rude rudely rudeness impolite arrogant
    dismissive condescending patronising patronizing snotty snarky surly sullen hostile aggressive nasty mean
    incompetent incompetence inept clueless careless carelessly negligent negligence inefficient ineffective
    inadequate inferior substandard shoddy crappy lousy junk junky trash trashy rubbish garbage crap sucks suck
    sucked sucky stinks stinky gross filthy dirty grimy unclean unsanitary unhygienic moldy mouldy rotten
    rancid spoiled inedible uneatable disgusted fails failed fail failure failures broken broke breaks useless
    worthless unusable unwatchable unbearable unacceptable inexcusable unforgivable pathetic ridiculous
    ridiculously-bad absurd laughable stupid stupidly idiotic dumb dumbest lame lamest silly nonsense nonsensical
    senseless amateurish amateur-hour overpriced rip-off ripoff scam scams scammed scammers fraud fraudulent
    cheated cheat cheats lied lie lies liar liars lying dishonest dishonestly deceptive deceived deceiving deceit misled
    unethical shady sketchy fake wasted waste wasting wastes avoid avoided avoiding angry anger furious outraged infuriating
    infuriated livid mad hate hated hates hating dislike disliked dislikes regretting insult insulted insulting
    offensive offended embarrassing embarrassed embarrassment shameful ashamed disgraceful sloppily cheaply
    painful painfully pain miserable misery suffer suffered suffering ruin ruined ruins ruining ridiculed mess messed
    disaster disasters fiasco chaos chaotic shambles joke debacle catastrophe nightmare nightmares hell hellish
    stress stressful stressed depressing depressed bummer bummed wretched dire woeful woefully sick
    sickening vomit nauseous nauseating poisoning poisoned cockroach cockroaches roach roaches bedbugs mice rat
    dangerous unsafe hazard hazardous scary-driving defective malfunction malfunctioned malfunctions
    malfunctioning inoperable dud died dead-on-arrival dead unsound unresponsive unplayable unreadable
    unappetizing unappetising unimpressed unimpressive unwatched tiresomely insipid vapid trite hackneyed
    atrociously unintelligible unconvincing unbelievable-excuse unrealistic unlikable unlikeable incomprehensible
    abysmally disrespect disrespectful disrespected discriminated racist sexist bullied threatened
    overcharged overcharge overcharging double-charged ignoring mistreated mistreat abandoned`,
  '-3.2': `awful awfully-bad terrible terribly-bad horrible horribly horrid horrendous horrific atrocious abysmal
    appalling appalled dreadful disgusting disgust disgustingly revolting repulsive vile putrid worst worse
    abomination travesty unspeakable excruciating excruciatingly loathe loathed despise despised detest detested
    hideous ghastly deplorable despicable heinous pathetically trainwreck train-wreck worthlessness
    cesspool hellhole crapfest stinker godawful god-awful terribad diabolical catastrophic disastrous
    disastrously outrageous unbearably contemptible monstrosity dreck drivel tripe bilge poison shit shitty bullshit
    fuck fucking-awful piss pissed`,
}

/** Words of the published lists that name a subject or a thing, not an opinion, in what customers write. */
export const englishNeutral = `number numbers numbered dear war wars kill kills killed killing killer crime crimes criminal murder murdered murders
  death deaths dying die dies drama dramas horror ghost ghosts evil villain villains fight fights fighting
  violence violent victim victims prison gun guns attack attacks bomb enemy enemies monster monsters demon
  devil vampire zombie zombies fire fires cut cuts cutting stop stops stopped stopping pay pays paying paid
  play plays played playing number numbers hand hands share shares shared sharing want wants wanted wanting party
  parties chance chances certain certainly feeling feelings feel join joined matter matters care agree agreed
  allow allowed allows top big greater huge super natural special mature novel god jesus christ oh please yes yeah
  ready active actively arrest arrested rob steals alone low lower lowest hard harder hardly tank block blocked blocks
  battle combat strike strikes struck shock shoot shoots shooting shot shots hope hopes hoped hoping wish wishes
  wished wishing hid hide hides join increase increased growth growing reach reached opportunity opportunities
  accept accepted accepting ability able capability commit committed create created grand grant granted peace
  united united-states vision visions visionary leave left leaving demand demands pressure pressed warning warn
  warned alert alerts emergency tears cry crying cried lawsuit poor-people poverty debt cost costs
  adventure adventures energy energetic freedom free save saves rich wealth wealthy winning won win prize
  award awards awarded straight bold cover covered obstacle escape escaped escapes haunted bloody blood damn hell-of
  dark darkness gray grey serious seriously intense absent challenge challenges challenging strange-noise
  involve involved cancel dream dreams dreaming fan fans engage engaged engagement sentence sentenced
  applaud crowd lost lose loses losing rainy rain storm stormy wind windy rough smoke cash trick tricks
  game gaming games luck like pretty well kind sort just mine miss-you sharing welcome excuse sorry apologies apologise
  apologize apology discard hang hung hooking dump dumped gag jail pushy mind minded ease-off opens warm-up ha haha
  challenge alive aboard accident accidents accidental accidentally contact drunk drinks weird-ending lonely loneliness
  sex sexual sexy naked virgin orphan rape raped kidnapped kidnapping torture tortured terrorist terrorists torment
  widow grave graveyard tomb skeleton suicide suicidal cancer disease ill illness virus flu injury injured wound
  commitment conflict conflicts conflicted controversy controversial debate deny-entry exclusive exclusively
  immediately important importance interest interests interested legal significant significance support supported
  supporting supports true truth united useful-info anyways spark sparks charged charge charges charging
  cheap cheaper cheapest discounted limitation hopefully mandatory obsessed obsession obsess revenge risk risks risky
  poorest rule rules solve strength strengths swear tender-offer tense tension treasure-hunt
  trap trapped unconscious undecided unequal ugly-duckling urgent violate vulnerable warfare weapon weapons yep
  bitter bitterness defense defensive defend defended determined dare daring eager easter faith fear fears feared afraid scared
  fond-of glory infection infected inflamed intelligence jewel jewels kissing kiss kissed lifesaving loyal master masters mercy
  noble passion passionate passive pet-hate powerful power powers prevent prevented promise promised promises protect
  protected protection protects punish punished reject relief rescue retired romance romances sacrifice safety
  satisfied-with sensitive solution solutions sore spirit spirits steal-the stole stolen strongest sunshine tough-guy
  toughness tricky unlock vitamin worry worried worries worrying hungry hunger thirsty
  creature deep funeral heaven lucky`

/**
 * Verbs and nouns that say nothing by themselves but tell against a thing when they are negated: "does not work",
 * "nobody came", "no flavour". The figure is what the negated word is worth.
 */
export const englishWhenNegated: Record<string, string> = {
  '-2.2': `recommend return returning returned back again buy buying bought purchase order ordering eat visit visiting
    rent watch trust waste come coming go going use using patronize worth bother interested`,
  '-1.8': `work works worked working fit fits fitted last lasts lasted hold holds held charge charges charging charged
    connect connects connected turn turns respond responded responds reply replied answer answered answers arrive arrived
    arrives came show showed help helped care cares cared refund refunded fix fixed stay stays stayed
    deliver delivered understand hear heard function functioning sync load loads loading start starts started
    taste flavor flavour seasoning sense idea clue point plot character story chemistry substance
    apology apologise apologize apologised apologized explanation information response service communication
    notice warning sailing sail sailed running run open told informed inform listen honour honor honoured cook
    cooked offer offered live make care believe explain explained bothered smile acknowledge acknowledged
    heating water seats parking signal reception clear impress impressed match deserve laugh scare stand`,
}

export const englishIntensifiers: Record<string, string> = {
  '1.5': `extremely incredibly insanely unbelievably exceptionally outrageously utterly absolutely totally completely
    ridiculously remarkably hugely immensely enormously extraordinarily astonishingly beyond fucking freaking damn super
    phenomenally tremendously`,
  '1.3': `very really so truly highly deeply thoroughly particularly especially seriously genuinely
    such exceedingly decidedly greatly strongly definitely certainly obviously clearly always never-endingly
    purely entirely fully wholly amazingly terribly awfully horribly dreadfully painfully consistently`,
  '1.15': `pretty rather indeed much most more even too way all mega proper properly real dead quite simply just
    by-far far most-definitely`,
}

export const englishSofteners: Record<string, string> = {
  '0.7': `fairly somewhat relatively reasonably mostly mainly generally usually sometimes occasionally
    partly partially sort-of kind-of kinda sorta little slightly bit mildly moderately`,
  '0.5': `barely hardly scarcely almost nearly supposedly allegedly apparently maybe perhaps possibly potentially
    hopefully`,
}

export const englishNegators = `not no never none nobody nothing nowhere neither nor without cannot cant can't won't wont
  don't dont doesn't doesnt didn't didnt isn't isnt aren't arent wasn't wasnt weren't werent haven't havent hasn't hasnt
  hadn't hadnt wouldn't wouldnt shouldn't shouldnt couldn't couldnt ain't aint mustn't needn't nope zero lack lacks
  lacked lacking rarely seldom hardly barely scarcely fails failed fail refused refuses unable neither cannot
  stopped stops less`

/** Degree words that turn an otherwise neutral quality into a complaint: "too salty". */
export const englishTooWords = `small big large long short loud quiet hot cold salty sweet spicy wet heavy light thick thin
  tight loose bright dark far close high low hard soft early late old young much many few little slow fast
  complicated difficult busy crowded expensive cheap rich sour oily greasy strong weak sharp deep shallow narrow wide
  obvious simple bulky fragile predictable slick silly serious long-winded hectic noisy bitter bland soggy chewy rare`
