/**
 * Words that are spoken often and lie one letter beside a word of the vocabulary: taken as they are, not as a misspelling.
 * Written by scripts/real-words.mts from a list of spoken English by frequency; not to be edited by hand.
 */
export const realWords: ReadonlySet<string> = new Set(
  `
    ablaze abominable abominably abomination abominations absent academia accede adhere adherence adhering aerial
    aerials agrestic albus alien alienate alienated alienating alienation aliens aline allay allegation
    allegations allege alleged alleges allegiance allegiances alleging alone alter alteration alterations altered
    altering alters among ampule amputee anaemic anaphylactic ancillary anemic anesthetic anesthetics anesthetize
    anesthetized angelina anorexic anteater antennae antennas antics antsy anxiously apoplectic armrest artemis
    artifact artifacts artist artiste artistic artistically artists asbestos ashes aspersions aspiring aster
    astigmatism athleticism attach attached attaches attaching attachment attachments atter augusta augustine
    auntie aunties aunty authoritative auxiliaries auxiliary await awaited awaiting awaits awhile backboard
    backhand backhanded backlash backpack backpacking backpacks backwoods backyard backyards badder bali ballon
    ballroom bally balow banal banality bandy bangles banister barbie barbies barret barry barth bartlett basalt
    basil battle battled battles battling batton beady beak beaks beard bearded beards beater beaters beatles
    beaut beauts beery begat belated belay belie below belvedere benjy bennies benny berate berated berating berth
    berths beware bible biker bikers bilge billie billy bind binding bindings binds biology birch biter bitte
    blacker blackest blackfoot blackie blain blanc blank blanked blanking blanks blaster blasters bleak bleep
    bleeping bleeps blender blighter blighters bling blinis blink blinked blinking blinks bloc bloodied bloody
    bloom bloomed blooming blooms blot blots blotted blotting blume blurb blurt blurted bluster blustery boat
    boating boats bock bodhi bodice boisterous boner bonne boost boosted boosting boosts booth booths bootie
    booties booty boron boswell bother bothered bothering bothers botulism bowed bower bowers bowl bowled bowles
    bowling bowls braceros brackets braid braided braids brainy brake brakes braking bran branches brand branded
    branding brands brave braved bravely braves braving brawn bray brays breach breached breaches breaching bread
    breaded breads breadth breastfeed breathlessly breck breed breeder breeders breeding breeds bride brides
    bridle brig bring bringing brings bristle bristles brite britt brock brodie broil broiled bronchial brood
    brooding brothel brothels brotherly brown browning browns bruce bruins bucolic bugger buggered buggering
    buggers buick bulimic bullied bullies bully bullying bumpy bundy bungee bungle bungled bungling bungo burnie
    burt burton bust busted busting busts cabal cabalism cache cachet cager cagey cahill camel camels cameo camp
    camped camping camps cancel canceled canceling cancellation cancellations cancelled cancelling cancels candle
    candles canker cannon cannons canst canter capper cardigan cardigans cardinal carey careys carlie carny carr
    cartier cash cashed cashes cashing castle castles catchy catechism cath celebrate celebrated celebrates
    celebrating celebration celebrations celebrities celebrity celibacy cella cello cellular cellulite centimeter
    centimeters cera cerebrum charcoal chariot chariots charlotte chastity chawk cheap cheat cheated cheating
    cheats chee cheeky cheer cheered cheerful cheering cheers cheese cheesed cheeses chem chess chewie chewy
    chickies chicky chilli chillies chilly chimp chimps chirp chirping chirps chivalry chopper choppers chord
    chords chose chromic chronicle chronicler chronicles chunk chunks clan clank clanking clanks clans clash
    clashed clashes clasp cleanse cleansed cleanses cleansing cleat cleats cleave cleaves clich cliche cliches
    clift clinch clinched clinches cloche clock clocked clocking clocks cloister cloistered closer closet closets
    clout clove cloves clown clowning clowns clucky clung clunky clutter cluttered cluttering clutters coarse
    coast coasting coasts cognizant collage collared collars collateral colleges color coloration colored coloreds
    colorful coloring colors comer comers comet comets comme commode commodities commodity commonly commotion
    communal commune communicate communicated communicates communicating communication communications communicator
    communicators communing communism communities community compares compatibility compatible compiled complied
    complies component components compressor comprise compunction comte concession concessions concourse concurs
    condo condolence condolences condone condoned condoning condor condos conduit conduits coney confection
    confuses congenial congeniality congress connector connotation connotations consecutive consecutively constant
    constituency constituents contagion contaminants contaminate contaminated contaminating contamination contract
    contracted contracting contraction contractions contracts contractual contractually contrary contrast
    contrasts cook cooked cooking cooks cooper cooperate cooperated cooperates cooperating cooperation cooperative
    coopers copier copped copter cordy cornball corned cornell corner cornered cornering corners cornet cornmeal
    cornwall cornwallis corollary coronation coroner corrie corse cortical couch couches couching couldn counties
    county coup coupe courts crackle crackles crackling crank cranked cranking cranks crap crapped crapping craps
    creamy creasy creation creationism creations crest crimp criss crone crop cropped cropper cropping crops
    crouch crouched crouching crow crowd crowded crowding crowds crowed crowing crows crucial crumb crumbs crumple
    crumpled crunchy crust crusted crusts cunt cunts curry curse cursed curses cursing curvy cush cushing dairy
    daisies daisy dali dallis dally dank danke dante dater debris decals decay decayed decaying decedent decide
    decided decides deciding decode decoded decoder decoding defeat defeated defeating defeats defecate defecated
    defector defectors defender deflect deflected deflecting deflection dejected delectable demented denial
    denials dentistry depressors depressurizing detect detectable detected detecting detection detective
    detectives detects diameter dicey dick dickey dicks dingus dink dinks dinky disassociate disco discord
    discordant discus disloyal disoriented disorienting displease displeased dissent dissenting dissertation diver
    divers divorcee doable dodge dodged dodging doggie doggies doggy dogies doilies doily dolores domes dona donne
    dont donut donuts door doors doubly doubt doubted doubtful doubting doubts douse dover downstate downy drago
    drawn dread dreaded dreadful dreading dreads drive drives driving drone drones droning drool drooled drooling
    drools drove droves drown drowned drowning drowns drudge duckie ducky duffle duffy dunk dunked dunking dunks
    durst dusty dyslexic earl earls ectopy eerie eighteenth eighth eighties eighty elect elected electing election
    elections elective electives electoral electorate electra electro electrode electrodes electron electronic
    electronically electronics electrons elects eleventh emery endow endowed endowment event eventful events
    exorcise exorcising exorcism exorcist expertise exploration explore explored explorer explorers explores
    exploring explosion explosions explosive explosives extradite extradited extradition extraneous eyeline
    eyeliner facie fact facto factories factory facts fail failed failing failings fails fain fait familia
    familiar familiarity familiarize familiars fannies fanny farce fare fared fares farther fascists fatherly
    fatter faucet faucets faust feast feasted feasting feasts feather featherbed feathered feathers feathery
    federal federally federation feeble feint felicity feller fellers femur fewer fifteenth fight fighting fights
    fillet fillies filly filter filtered filtering filters finder finders fingerling fishy fists fitter flagrant
    flagrante flail flailing flak flame flamed flames flaming flappy flash flashed flashes flashing flatbed
    flatter flattered flatterer flattering flattery flay flayed flighty flint flittering float floated floating
    floats flopping flor flores flour flustered fluttery foamy folies fond fondness foodies foray fort forte forth
    fortifications forts foundling fourteenth fraction fractions fragile fragrant fraid fray frayed freed friction
    fried friendlies friendly fright frightful frills frolic froze fuelled fugu fugue fuller fullers fund funded
    funding funds funky gant gard garde gaze gazed gazing gender genders genie genies genius genre gent gents
    germain germany gigantic girdle girdles girlie girlies girly givens giver glad gladness glance glanced glances
    glancing glassy glaze glazed globe globes gloss glover gluteus glycerin gnashing gofer gorman grabs grace
    graced graceful graces gracing grad grade graded grades grading grads graf graff grain grains grams grange
    grape grapes gras grassy grat grate grated grateful grates grating grave gravely graves grays grazer grazie
    grid grids griff grift grindle grins gripe gripes griping groan groaned groaning groans gross grosse grossed
    grosses grossing grout grove groves growl growling growls guillotine hairpin hairpins hamper hampered hamster
    hamsters handle handled handles handling handy hanover hardy harem harmonic harmonics hart harts haste
    hatchback hater haters haute haven havens haver havers headhunter headhunters heady hearst heartache
    heartaches heartbreak heartbreaker heartbreaking heartfelt hearth hearties heartily hearty heath heave heaved
    heavenly heaving heighten heightened heightens hematoma hematomas hert homer homey homeys homie homme horns
    hors horst horsy hoyle hummer humph hurst hurtled hurtling husbandry hydrazine hygienic hyperbole hyperbolic
    hypnotherapy hypotenuse hypotheses hypoxic imminent immutable impeding implying imposing impunity incentive
    incentives incessant incision incisions incisive inclusion incursion indecision indigent indirect ineffective
    inefficiency inefficient infallibility infallible infamous infertile infertility infest infestation infested
    inflatable inflate inflated inflates inflation inflection influence influenced influences influencing
    influential infuriated infuriating initial initialed initially initials initiate initiated initiates
    initiating initiation initiative initiatives injector injectors injure injured injuring insert inserted
    inserting insertion inserts insignia insomniac inspect inspected inspecting inspection inspections insulate
    insulated insulation insulting insuring intense intensely intensity intensive interfere interfered interferes
    interfering interstate intonation intoxicated intoxicating intoxication intro invasion ironies irony
    irrational irrigate irrigated irrigating irrigation ischemic isolde jello join joined joining joins joists
    jollies jolly julio julius jumpy kidnapper kidnappers killed klick knack kneed kneel kneeling kneels knives
    lacerated laceration lacerations lager laker lakers lander landers larder larynx lathe latte lauder layer
    layered layering layers leafy leans leapt leary lease leased leases leash leashes leasing lefties lefty lends
    lest lever levers liane liberal liberally liberals liberate liberated liberates liberating liberation
    liberator liberators lifer lifers lighthearted lightning likened linen linens liniment linseed liter literal
    literally literate liters live lived lively liven livery lives living livre loca locate located locates
    locating location locations locator locky locos logos lookee looky looms loons loopy louse lover lovers loyal
    loyally lumber lumbering macer mach machina magnesia magnetism making makings malaysia marc marco marian
    marker markers marron marsh marshes maser massa match matched matches matching material materialism
    materialize materialized materials meanie meanies meaningful meant meantime meany measly medal medals media
    medicaid medico medicos meditate meditating meditation meditative memorable memorise memorised memorize
    memorized memorizing menacing mending menelaus mental mentality mentally menthe merch mesquite message
    messages messaging messrs messy meta metastasized metastatic mettle midlife midwives mighty migrating
    migration milky minimal minimize minimizing mining miniscule ministries ministry minnie mint minted mints
    minty minuet minus misaligned missis missus missy mistrial mists misuse misused modest mold molded molding
    moldings molds mont monte montes moor moore moored mooring moorings moors moron moronic morons morphing morrow
    motherly mound mounds mourn mourned mournful mourning mourns multiplex multiplied multiplies multiply
    multiplying musculature myocardial nagel narrowly nasi natty nauseated nauseating naval nave nervously
    nervousness nervy nestle nestled neuroses neurotic neutron neutrons neven newer nicht nicked nickey nigga
    niggas nigh nightcap nightfall nightie nighty nineteenth nineties nitrous noise noose norse north nosedive
    nosey notch notches nother novel novels octonal opera operas optimal optimism ortho outset overcast overdo
    overdoing overdrive overeducated overfed overheated overheating overrated overreact overreacted overreacting
    overreaction overreacts overseer overseers oversized overt oxymoron pacer pacey palatable palate palates
    palatial pall pallid palpation pals panicked panicking pansies pansy pant panties panting pants panty
    paralegal paralegals parallel parallels paralytic paralyze paralyzes paralyzing paranoid parched pardner paris
    parry parson parsons particle particles particulates partisan partisans partition partitions partly pasties
    pasts pasty patchy pate path paths patsies patsy patties patty paulie peace peaceful peacemaker peacemakers
    peachy peebles pelvis penal penalize penalized pencil penciled pencils penis penises perch perched pericardial
    peril perilous perils persona personage personages personification petechial physic physical physicality
    physically physicals physics piece pieced pieces piecing pier pierre piers pilaf pilar pilot piloted piloting
    pilots piney pinky pint pints pirate pirated pirates pirating plaid plaids plait plane planed planes planetary
    plantation plantations plato platter platters plump pneumonic poach poached poaching poignant point pointe
    pointed pointing points police polices policing polled pollinate polly polo poly polymer polymers pond ponds
    porto posies posy pounce pounced preach preached preaches preaching present presentable presentation
    presentations presented presenter presenting presently presents pretentious prevalent primate primates print
    printed printing prints prison prisoner prisoners prisons problematic procreate procreation properties
    property prophesied prophesies prophesy prosit prostrate proteus protruding proverbial psychos psychotic
    pulpit pulsar pulsars punch punched punches punching punctual punctuality punctuated punctuation purty quack
    quacking quacks quadruped quiche quirk quirks racer racers radial radials radiant radioactive radioactivity
    raids rails rains rance rapture reach reached reaches reaching reaction reactions rearm rebuild rebuilding
    recital recitals recitation recite recited recites reciting reckless recklessness recover recovered recovering
    recovers reeducation refine refined refinement refinements refining refit reflex reflexes refuge refuse refute
    regain regained regaining regains regina rein reina reins reject rejected rejecting rejection rejects relate
    related relates relating relation relations relay relayed relaying relays reles relied relies relieve relieved
    reliever relieves relieving religion religions reluctance reluctant remain remained remaining remains remix
    renovate renovated renovating renovation renovations repaid repay repaying repetitious replay replicant
    replicate replicating replication resent resented resentful resenting resentment resentments resents resin
    resonance resonate resonates resonating respect respectability respectable respected respectful respecting
    respective respectively respects restrain restrained restraining retail retailers reticent retire retired
    retirement retires retiring revile reviled revival revive revived reviving revs rhythmic rhythmically roadie
    roadies robber robbers robot robotic robotics robots roomie roomy roost rope roped roper ropers ropes roping
    rubbery rustlers sack sacked sacking sacks saddened saddens sake sakes saki sanction sanctioned sanctions sand
    sanded sanding sands sapiens sapling sarong satin saver savers scabby scads scaled scaliger scarce scatter
    scattered scattering scene scenes schizophrenic schizophrenics scold scolded scolding scoot scratcher scratchy
    scream screamed screaming screams screwy scrip seam seams secondly secretion sedan sedans seder sedition
    seduction seep seeping seeps seer seers selection senate senator senators senhor senior seniority seniors
    senor sensitive sensory server servers sevens seventeenth seventies sewer sewers shade shaded shades shading
    shadowy shady shaft shafted shafts shaken shaker shakers shale shallots shame shamed shameful shaming shape
    shaped shapely shapes shaping sharky shave shaved shaver shavers shaves shaving shavings shay shear sheared
    shearing shears sheep shelf shifty shill shilling shillings shills shiner shiny shit shits shitting shone shoo
    shoop shooter shooters shorn shorten shortened shortening shortest shortie shorties shortwave shorty shouldnt
    shrank shrew shrink shrinking shrinks shriver shrunken shtick shuck shucks shun shunned shunning shut shuts
    shutter shutters shutting sickle sicko sickos sidle sift sifted sifting sigh sighed sighing sighs sill sills
    simulate simulated simulates simulating simulation simulations simulator simulators sing singe singed singing
    single singled singles singling sings sinister sink sinking sinks sins sisterly sitar sitter sitters sixteenth
    skiff skimp skimping skulk skulking slack slacking slacks slattery sleepy slide slider sliders slides sliding
    slight slighted slink slinking slit slits slitting sliver slivers slope slopes sloping slurp slurping small
    smalls smattering smelly smelt smelting smoker smokers smokey smoky smoot smote smouldering snack snacking
    snacks snake snaked snakes snape sneak sneaked sneaking sneaks sneer sneered sneering sneezy snide snidely
    snider sniffs sniffy snitch snitched snitches snitching snoot snootful snuffy socialist socialists societal
    socked socratic soiree solon soma sone soony soot sorted sorting sorts spake spalding spam spar spare spared
    spares sparing sparring spas spatter spattered spayed specialise specialised speciality specialize specials
    speck specks spice spiced spicer spices spicing spiff spike spiked spikes spiking spill spilled spilling
    spills spindle spindler spinster spinsters spiral spiraled spiraling spires spit spite spiteful spits spitting
    splat splatter splattered splattering splinter splintered splintering splinters spoil spoiled spoiling spoils
    spoke spokes spoon spooned spoonful spooning spoons spout spouting sprat spreader sprint sprinting sprints
    sprocket sprockets spurn spurned spurt spurting spurts squatter squatters squirt squirted squirting squirts
    stabilisation stabilise staff stafford stake staked stakes staking stale stalin stance staph starve starved
    starving static stating station stationed stations stay stayed staying stays steak steaks steal stealing
    steals steno step stepped stepping steps sterling stickle stickles sticky stiffed stiles stilted stilts
    stimuli stimulus stingy stinko stinky stipulate stipulated stipulates stipulation stir stirling stirred
    stirring stirs stith stocky stole stoled stoner stoners stoney stony stoop stooped stooping stoops stork stove
    stoves strafing straggler stragglers strainer strait straits strand stranded strands strange strangely
    strangeness stranger strangers straying streak streaking streaks streamers streep strengthen strengthened
    strengthening strengthens stressor strike strikes striking stripe striped stripes strobe strobes strode
    stronger strongly strove strung stuffs stung stunk stupider sturgeon style styles styling stylings subdue
    subdued subspecies suction sugary suing superb supercilious superfine supper suppers supposition suppressor
    surer suspicion suspicions swaddling swagger swaggering swat swatted swatter swatting sweep sweeping sweeps
    sweet sweetie sweeties sweetness sweets sweety swept swerve swerved swerving swift swipe swiped swipes swiping
    switch switched switches switching swoon swooned swooning table tables taker takers tangle tangled tanny taper
    tapered tatoo taupe teak teat teats teeny temp tempe temperate temping tempo temps tempt tempted tempting
    tempts tempus tended tenderly tending tenner terminus termite termites testa testy theater theaters theatrical
    theatricals theatrics theme themed themes therapist therapists theses theyre thicker thingies thingy thinker
    thinkers thinnest thirsty thirteenth thong thongs thorax thorn thorns thready throaty ticked ticket ticketed
    tickets tickler tigger timer timers timetable timetables tinge tingly tinker tinkering tinkle tinkles tinkling
    tirade tire tired tires tiring together toiled toiletries tong tonga tongs toot tooting tootles toots torch
    torched torches torching touchy tough toughness towing track tracked tracking tracks trailer trailers trained
    trainee trainees tramell tramps transatlantic transform transformation transformations transformed transformer
    transformers transforming transforms transfuse transfusion transfusions translate translated translates
    translating translation translations translator translators transparent transpired transverse treaties treaty
    treed trial trials trickery trickier trickle trickling tricky trifle trifled trifles trifling trilling tringle
    troth trump trumped trumps trust trusted trusting trusts tucker tuckered tudor tunney tunny tutor tutored
    tutoring tutors twain twang twere twig twigs twistle twisty twit twits twixt udder udders unabated
    unconscionable undefeated underage undercut undercutting underling underlings underpants underrate underrated
    underwater underwent undetectable undetected usable varices vascular vega vegas vegetation venom venomous
    venue venues venus verdi verification veritable vial vials violet violets virile virility virulent vital
    vitality vitally vitals volition wafer wafers wager wagered wagering wagers waiter waiters waken wakened
    walkie walkies walter wanker wankers wasnt waterbed watergate watery waver wavered wavering waxer weakling
    weaklings weary weedy weepy weigh weighed weighing weighs weighty whale whales whaling whee wheel wheeled
    wheelie wheeling wheels whence whine whines whining whist white whitely whiteout whites whiting whoo whoopee
    whop whopping whore whores whoring whose width wight wince wiper wipers wistful witch witches witching wonder
    wondered wonderful wondering wonderment wonders wong woolf wooly wordy works worms wort wouldn wreak wreaking
    wright wring wringing writer writers writhe wrote wrung yearling yearlings yearn yearned yearning yearns
  `
    .trim()
    .split(/\s+/),
);
