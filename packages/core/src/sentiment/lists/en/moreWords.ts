/** Further words of opinion, mostly of stages, screens, tables and tools. Read like the first lists. */
export const furtherEnglishWords: Record<string, string> = {
  '2.7': `gleaming wondrous idyllic luminous dazzlingly virtuosic virtuoso enthralling spellbinding spellbound enthralled mesmerised mesmerized
    transcendent majestic radiantly crowd-pleaser crowd-pleasing page-turner showstopper show-stopping unmissable
    must-try must-visit blockbuster-fun hysterical uproarious side-splitting rib-tickling laugh-out-loud tearjerker-good
    melt-in-the-mouth lip-smacking finger-licking divinely heavenly-good paradise awestruck overjoyed ecstatically
    goosebumps jaw-dropping showstoppers pinnacle triumph triumphant triumphs tour-de-force standout stand-out`,
  '2.1': `approachable personable chirpy bubbly straightforward skilful skillful meticulous meticulously conscientious chuffed smitten moreish expertly skilfully courteously faultlessly witty wry droll taut tightly-plotted brisk breezy zippy snappy punchy vivacious exuberant spirited feisty endearing
    lovable loveable likable relatable sincere earnestly candid honest-portrayal insightful thought-provoking intelligent
    smartly deft deftly nimble assured confident polished crafted well-crafted stylishly inventive inventively ingenious
    quirky whimsical bittersweet tender-hearted heartwarming uplifted rousing stirring soulful sumptuous lavish
    evocative immersive believably authentically faithful loyal-service chemistry-filled charisma charismatic
    buttery flaky fluffy juicy-sweet smoky tangy spicy-good fragrant flavour-packed well-seasoned perfectly-cooked
    fresh-baked oven-fresh hot-and-fresh homestyle comforting-food satisfyingly refreshingly hospitable accommodating
    congenial gracious obliging unhurried spotlessly inviting welcoming-place airy bright-and-airy tasteful-decor
    snug snugly sturdily well-padded rechargeable hands-free effortless crisp-sound crystal-clear noise-free
    long-lasting heavy-duty foolproof speedy lightning-fast turbo responsive-screen featherlight
    impressively admirably commendable commendably laudable praiseworthy praise praised praises applauded rave raves raved
    prefer preferred prefers fave favs regulars blessed fortunate relieved relief soothed pampered spoilt cherish cherished treasured
    savor savour savored savoured devour devoured relished relish delighting wowed`,
  '1.2': `springy ripe plump finally upgrade upgraded smoothly improved handy-size roomy-enough chemistry suspenseful engaged invested curious
    intrigued hooked-in substance-filled comparable legit genuine solidly firmly neatly-done tidy-finish
    thick-cut lean hearty-portion filling-meal complimentary refill refills attentive-ish discounted reasonable-size
    noticeable-improvement promptly-fixed replaced thumbs-up`,
  '-1.5': `poky airless draughty drafty tatty threadbare rickety slapdash stodgy grubby lacklustre monotonous glacial interminable overcrowded overbooked overdue mislaid clogged slippery baffling erratic glared scowled tutted huffed sulked steep rushed hurried pressured losing flooded leaked leaking logged-out plodding ponderous turgid leaden sluggishly meandering meander rambling aimless aimlessly overwrought mawkish cloying
    saccharine maudlin syrupy schmaltzy self-indulgent self-important heavy-handed ham-fisted hammy cartoonish one-note
    two-dimensional one-dimensional paint-by-numbers by-the-numbers cookie-cutter derivative recycled rehash rehashed retread
    stale-jokes clunker snooze snoozefest yawn yawner sleep-inducing sedate toothless bloodless soulless charmless humorless
    humourless witless joyless mirthless passionless uninvolving unengaging uninteresting unexciting unremarkably unnecessary
    unneeded overproduced overlong underwritten underused miscast misfire misfires misjudged muddled murky jumbled disjointed
    incoherently nonsensically implausible preposterous ludicrous laughably inane moronic brainless mindless insufferable grating
    gratingly shrill obnoxious whiny annoyingly distracting distractingly cringe cringeworthy cringey tasteless-joke crass
    gristly gristle stringy limp wilted soggy mushy congealed burnt-out charred scorched rubbery doughy pasty gummy
    bone-dry overdone underdone unseasoned flavour-free bitter-tasting sour-tasting off-tasting freezer-burned microwaved reheated
    thawed tepid skimpy stingy meager meagre paltry measly puny tiny-portion unfilled empty-handed unfulfilled
    hovering pushy snooty stuck-up aloof indifferent apathetic clueless-staff frazzled disorganised disorganized unorganized
    understaffed short-staffed backed-up botched bungled mishandled misplaced mixed-up mix-up forgotten-order snail
    fragile-build flimsily jammed jams sticks sticking lopsided crooked misaligned wonky warped creaks squeaks rattles rattling
    overheats overheated overheating unplugged pixelated garbled choppy echo echoey hiss hissing buzzing crackle crackling crackly
    fiddly finicky temperamental unreliable-signal outdated-look bulky-case uncomfortable-fit painful-fit irritates chafes
    unpaired disconnects disconnecting disconnected refund-request returned complain mislabeled mislabelled misrepresented
    counterfeit knock-off knockoff bootleg imitation sham gimmick gimmicky clunkily`,
  '-2.4': `unwelcome shortchanged fobbed bodged botch butchered mangled ruinous soiled exorbitant spineless shameless sneering sneered shouty swore crooks cowboys bandits smashed seething gutted tearful traumatised traumatized abysmally dismal dismally atrociously ghastly-service wretchedly execrable lamentable lamentably risible unendurable
    intolerable unspeakably repugnant nauseated retch retched puke puked barf gag gagged inexcusably unforgivably
    swindle swindled conned hoax ripped-off extortionate extortion daylight-robbery price-gouging gouged
    unwatchably unlistenable unplayable unwearable unsalvageable irredeemable worthlessly train-wreck dumpster-fire
    garbage-quality bargain-bin bottom-barrel eyesore shambolic fraudulent lousy lousiest crummy crappiest suckiest stupidest
    hateful despising loathsome abhorrent vomit-inducing stench reeked reeks reek putrid-smell festering infested infestation
    condescendingly belligerent abusive screamed screaming-at yelled yelling shouted-at harassed harassment humiliated humiliating
    hung-up ghosted stood-up`,
  '0': `fined patients lights fit quality waited dropped cleaner cleaners crisps goods fasting joint dry plus wooden flat waterproof cleaning waste rise no not never none nothing nobody nowhere neither nor without cannot can't won't don't doesn't didn't isn't aren't wasn't
    weren't haven't hasn't hadn't wouldn't shouldn't couldn't hardly barely scarcely rarely seldom less nope
    means thriller thrillers horror-film finger crush crushed sharp-object`,
}
