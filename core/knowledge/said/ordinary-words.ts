// Written by scripts/ordinary-words.mjs from the package dictionary-en; not by hand.

/** Words of ordinary English within a slip of a word of the ear: they are never mended into one. */
export const ORDINARY_WORDS: ReadonlySet<string> = new Set(
  `
abode abort abound absents abut acceding accordant accordingly accordion accordions accosting accruing aced
acid acing acts actuality adapted adapters adopter aerate aerates affording afters aground airlocks alarms
alight allays aloe alps alter alto alts ambler among ancestor annually antes anther antic antsy anus
approximate approximated approximates apps apter arched arching arid aright arks armed arming arrested arsed
arsing arts ashed ashing askew assent aster atone auks aunts autumns averaged averages awry babbles babbling
babe backer backs backups bacterial bacterium badder badge baht bail bails bait baits bake baked baldly balds
baldy baled bales balked balks balloons balloted ballsy balm balms bandy bang banged bani banked bans barbel
barbs bared barer bares barfly barge barked barley barred barrels barren barres barrings base basely basemen
basements basic basil basing basins basis bask baskets basset bast basted batters batty baud bawd bawl bawls
beach beading beaker beaming bean beaning beard bearding beat beater beating beatings beck beech beef beefing
beefs beer beers beets behinds belch belle belles belly bends bents best bested bets betters bettor bewaring
bias bidding biding bight bile bilge bilges bilk billows billy bindings binged binning biol bios birding birds
bite bites bitter blacking bladders blame blames blander blanking blares blaring blase blaze blazes bleaker
bleep bleeping blench blending blends blew blight blinis blinkering blitzing bloc blocker blocking blogs bloke
blond bluer blues bluet blunting blur blushing blvd boar boards boars boas boats bobbles bobbling bodge boding
bogs boinking boinks bolas bold bole boles bolt bolus bombs bonce boner bones bonged bonging boning bonking
boob boobs books boom boon boor boot booth boots bops boring born borne bosh boss botch bottoms bounding bounds
bouts bowel bower bowled boxen boxer boxes boxy boys bracken brackets brad brae braid brake bran brands brandy
brawn breakers bred breed breeds bricking brig brights brigs brill brine bringing brink briny bristle brittler
brook broth brow browner browns browsed bruising bruiting brunching brunt bubbled bubblier bubs buck buckets
buckling budget budgie budging bugging bugle bugled bugles bugling bulgy bulked bulking bulled bulling bumbles
bumbling bumf bummed bumper bumph bumps bumpy bums bunch bundling bungee bunging bungled bungling bunked
burbles burbling burg burgling buried burl burled burner burping burr burred burring bursa bursting bursts bury
burying bused bushed bushing bushings busied busked bussed bust buster bustled bustling buts butt butted butter
buttery buzzer buzzers bypasses byre cables cabling cabs caches cads caged caging cakes caking calcifies
calcimined calcined calculation calking calks calla callas caller callings callus calmed calming calved calving
camel cameo camped camps caned caning cans cantered cantering canton capacious capacities capacity caped capes
capo capos capt carbonated carbonize carbonized carbonizes carbons carboy card careered cares caretakers caring
carmaker carps carriage cars cart cartons cartoon cartridges cases cash cashing casings casino cask cast caste
casting catcher catchers catered catering catting cause causing caved caver cavers caving cawed cawing caws
cays cease ceasing cede cell cellars celled cells cementer cementers cementum centered centigram centigrams
centrifugally centrifuge centrifuged centrifuges ceramics certainty chaired chalking champ champed chance
chanced chancing changing chant chanted chanters chanting chaplains chapped chaps chapters char chard charm
chars chartered chartering charters charts chary chase chasing chat chattels chatter chattered chattering
chatters checker checks cheek cheeked cheeps chert chewer chicks chinking chip chipper chirped choke choker
chokes chopped chopper chord chose chuck chunking churches cinching circuits circuity circulating circulations
clacked clacking cladding claimers claiming clambering clambers clammed clamming clamping clamps clams clan
clanged clangers clanging clangs clank clans clapped clappers clapping claps clarified clashing clasp clasped
clasping classing claviers cleaner cleaning cleanly cleansed cleansing clearer cleats clenches clenching
clerking clewed clicking clients clii clinches clinching clinging clink clinking clipped clips clit clix cloak
cloaking clocked clocking clod clomp clomped clone cloned clones cloning clonk clonking clonks clop closest
closets closings cloud clouds clove clover clovers cloves cloyed cloying clucking clucks clump clumped clunking
clunks clustering clusters clutches clutching clutter cluttering clutters coaled coaling coals coarsen coarser
coasters cobbling coda coddling coded coders codex coding cods coif coifs coiled coiling coin coins coir cokes
coking cola colds coll collapse collapses collar collared collated collected collection collections collector
collectors colt coma comas comb combing combs comets comings comm commented commons comp compacts compiling
comping complacent complainers complaisant complete completed completer completes completest complexly
compliant complies comps comptroller conceited conception conceptions concerted concocted concoction
concoctions concocts condemner condense condensed condensers condenses conduct conducted conduction conductor
conductors conduits confection confections conferred confided confined confirms conformer congested congestion
coning conked connecting connective connectives connects conniption conniptions consented consonantly constancy
constant contains contender contented contention contentions contently contents contested contiguity
contiguously continuing continuous contract contrasts controlled controllers controls convection convector
convectors convener convention conventions converted convicted conviction convictions convicts cook cooker
cooking cooler coon coop cooper cooping coos coot copes copier coping copped coppers coppery cops copter
cordoned cords corer corers coring cork corked corm corn cornrowed corp corr corrected correction corrections
corrector corrects corrode corrodes corrosive costumer cotes cots couch coughing coughs counting couple coupled
couples couplet couplings course coursing courting coven covens covert coverts covet covets covey coveys cower
cowers cowing cowling cowls coxes coxing coyer cracker cracking crackled cradle cradles cram cramp cramped
craned crank cranked cranking craps crass crated cratering craved crawled craze crazes creak creams creamy cred
creeds creeks creels creep creepy crepes cress crested crewed cricked critters croak croaked crook crooned
cropper crops crotches crouches crouching crows crucified crufted crumpling crunch crunched cruncher crunchier
crunchiest crushed crushing crustal crutches crystals cube cubed cubes cubit cubs cuds cued cull culled culling
culls cults cumin cums cunts curb curbed curbs curds curers curie curies curl curled curls currant currents
cursed curses curt curve curved curves cushions cuss customary customers cutie cutouts cuttings dabbling dabs
dads dais dame damn damped dampened damps dank danker dare darer darken darkener darkeners darn darner darter
date deadbeat deadheads deaf dean dear deceivers deciders decliners decrees deed deference definers definite
definitively degree deice delayers deliver delivered deliverer deliverers delivery delvers depressurize derive
destroyer destroyers destroys devise dials diam dibble dibbles dibbling dibs dict died diet differed
differences differently differing diffidence diffident diffuse diffused diffusely diffuses dill dims dine dins
dint dipso dire directed directer director directory directs direst disappear disconcert disconnectedly
discontent discontented distorter disturbed ditty dive dives doer doers dole doled doles dona dong dongs doomed
dope doped dopes dork dosed doses dost dote doted dotes double doubles doublet doubted dove doves downs downy
doze dozed dozes drab drafting draggier drainer draining draping drat drawings drawling drawls dray dread
dredging dregs dribblers driblets drier drifting driller drinking dripped drippier drippings driveling drivels
drivers drizzles drizzling drone drooling droop drooped drooping droops dropper droppings dropsy dross drove
droves drowning drowsing drub drubbing drudging drug drugging drugs drums drys ducal duct duel dues duet dull
dump dumper dune duped durst durum dusk dusts dusty dyes dynamics earths earthy ease east eater eclectic
effected eighteens eighteenth eighties ejectors elbows elector electrically electrician electrics electrify
electron electronic electronica electrons elevens elver emery emptier emptiest emulsifier emulsifiers
emulsifies enchanted encrusts encrypted encysted energize energizer energizers energizes entrusted erector
erode erodes etch ether evens event evermore ewer excepted exchange exchanges executed exercised expansion
expects expedited expelled expended expert expiated exported extensional extensions extensive extrusion fabled
factored factors factory facts fade fades failing fain faints fairs fairy fake fakes fallows falter fanny farce
farces fare fared fares farm fart farthing fastened fasts fate fates fattened faucet faults faulty faves faxed
faxes faze fazes feast feasting feats featured feces feint fella felled fellows felts fete feted feud fiat
fiats fiend fifteens fifth filer files filing fillet fillings filmed filming films filo filters finder finders
findings finds fines finny firms firsts fittingly fiver fives fixating fixer fixes fizz fizzling flab flack
flag flagging flags flailed flailing flails flak flame flaming flan flanges flanking flans flap flappers
flapping flaps flashier flashily flattens flattered flatterer flatus flawing flay flays flea fleck flecked
fleet fleeting fleshing flicker flicks flied flint flirting flit flits flitted flitting flock flocked flocking
floe floes flog flogging flogs flood flooder flooding floored flooring floors flop flopped flopping flops floss
flouring flout flouting flouts flown fluids flushing fluttered flux foal foaled foaling foams foamy foils
follow folly food fool fooled footings footling foots foray forget forgo forming forte forth forts foul fouler
foully founds fount fours fourteens fourteenth fowled foxed fracture fractures framed framer frames framing
frat frats freer frees freq fretting friend fries frill frilled frills frizzing frizzy frog frogging frond
fronts frost frothier frowning froze fuels fulled fume fumed fumes funky furl furled fusee fusees fussed fusses
fuzzing fuzzy gabled gabs gads gaga gags gait gala galas gales gall galleon galleons galley gallop gallops
gallows galls gaps gardened gardeners gardenia gars gaskets gated gates gauged gauges gauze gays gazed gelled
gems gene gens gents gibe gibes gibing gigs girt gites gits givers givings glads glans glared glassy glaze
glazes glee glinting gloss glum glut goad goals gobs gods goer goers goings gold goldener goner gonk goods
goody goof googling gook goon goop gore gores goring gouge governed governors grabs grads grams grand grands
grans granting grasp grasps grassy grate graved graveled gravels graven graver graves gray grays grazed greed
greens greet grep greps grew grieving grim grindings grinning gripe gripes gripping grist gritting groaning
grokking groomed grooming grooving groovy gross grossing grotty grouched grounder grounders grounding grounds
grouping grousing grouting grove grovel groveling groves grow growing grown grows grue grueling grunting guest
guests gulled gulling guts gutting gyves gyving hags hail hairlike hairlines hairpins hairs hairy hake haled
hall hallow halo halt halve hammed hamming hams handing handy hangings hank happen happened hardener hardeners
hardily hared hark harm harp hart hastened hate haven haves haze header healed heals health heaps hearkened
hearse heartened hearts heated heath heaved heeded heft heir heirs helper helps heme hemmed hemming hemp hems
herb herded hero highers highs hilts hind hinds hing hinging hings hints hire historical hither hive hoarse
hobs hocked hoer hoers hogs hoked hokes holdings hollows homed homeowners homes honed hones honked hons hood
hooded hooding hoods hoofed hooker hooped hooted hoots hoped hopes hops horde hording horrendously horribly
horridly horsed horsey horsing hosing hosp houri houris housed housings howled hubs hues hugs hummer hummus
hump humped humping hundreds hunk hunt husbands hysterically icon immaculately immediate immolated immolation
immovably immutable impelled improvable inaner inched incising incl incorrectly incubation inculcation
indefinite indicate indicates indication indicators indicted indignity inducted infinities infinitive
infinitude infirmity inflated info inhalation inoculation insanity inserted inset insider insides inst
installer installers installs instanced instanter instants instated insulated insulating intently inter
interlace interlink interlocked interlocks interlope intimated intro invented inventor inverses inverted
inverters invested investor invoking irons irony islet isolate isolates isolating itch itches jests jink join
joins joist joists jots journals joust juiced juicer juices juicy jump jumped jumpers jumpier jumpy junks jute
keel keels keen keens kelp kepi kicker kicky kill killer kiln kilned kilopascal kilos kilt kilted kinda kinds
kine king kinks knack knacks knotting know knows knuckling labels lack lacked lacy lade laded lagged lags lake
lame lamed lane lanes lapel lardy lase lases lash lasing lasts later latter laud laves laving lazy leafed leafy
leaky leaned leaped lease leased leases least leavens leavers leavings leek leeks lees lefter lefty legged lend
lends lengths lengthy lent lessened lessening letters levee levels lever lewd libel libeled licit lick licked
lied lief lien liens lies lifers lifters lightening liken likening lilt lilted lilts limb limits limn limned
limo limp limped limy linens ling linger lings link links lino linted liquids listens lists lithe lither litter
littering litters littler lively liven livening livers loafed loafs loam loan loaned loans loaves lobe lobes
lobs loci locker locket locking lockouts loco lode lodes lodged lodger lofted loge loges loiter loiters looker
lookout loomed looming looms loons looped looping loopy loosen looseness looser loosing looted looting loots
lope lopes loping lops lorded lordly lords lore losers losings losses lotus lounger lour louse louses lousing
louts louver loved lovey loving lowed lowers lowing lows luck lucked lugged lugs lump lumps maces machined
machines macing macro mads mages mags maid maids mail mails maim maims makers makings mall malt manes mans
manuring maple marble marbled march marches marker market marking marl marred mars mart marts mask masked
masking masks massing mast masted matched mated mater maters mates math mating matins matte matter mattes
maturing maxes maxing maybes mazes mead meal mechanic mechanically mechanics meddle melded mere meres mesa mess
messing meta mete meteor meteors metier metiers metros mews mice mick micron micros middles middy mien mighty
mikes miking milk milks mill mills milted mime mince mind mined miner minerals mines mini mink mint minuet
minuets minuses minutest minuting minx mismatch mismatches misting misusing mite miter miters moan moaning mock
modes modules modulo moire moisturize moles molted monist monument mooed mooning moor moors moped mopes morel
morn mornings motes moth moths moues mounding mountain mountains mountings mourning moussing mouth mouthing
mouths movements movers movie movies mowed mucks muddle mugs mulch mule munch muse mushroom mushrooms musky
muss mussing musts musty muter mutt named nameplates names naughts naughty nave neap nearby nears neatly neck
necked needle needless neighbor neighbors nerd nerds nest nether nets neut newer newt nicer niche nickel nicker
nicks niece nigh nights nines nineteens nineteenth nineties nipples nits noes nonce noose nooses normalcy
normality nosh noshing notch notching notes nothings notice notices noting nougat nowise nubs nude nudged
nudges nuns oaring oaten ocher odder odometer odor ohmmeters oils okays older omen omens oohing oped opener
openings opes opined oping opining oranges orders orig others ounce ouster outed outlets outputs outre outset
outsider outsides outsize ovens overbearing overbears overboard overbold overcloud overcoat overcoats overeaten
overeating overeats overflow overflown overflows overflying overfond overgrowing overhang overhangs overheads
overhear overheard overhearing overhears overheat overlaid overland overlarge overleaf overloaded overloads
overlong overlook overlord overlords overrate overrated overrating overreacted overreacting overreacts overs
overseas oversold overstated overstating overt owing owned owners oxen pace paced pack packer packet paddle
paddock padlocks pain paint painted paints palace palate pale pales palled palling palls panels panes panned
paperwork paps para pare parishes park parked parring pars parses parsing parts pascal pass passably passe
passed passel passels passer passers pasta paste pastes pasting pasts pasty patch patched paths patted patting
pauses pausing peace peck peddle penned pepped peps perfecta perfects perisher perishers perishes persisted
pert pertly pest petition petted petting petty phage phased phases phrase pick pickaxing pics piddle piece
pieced piecework pierces pies pigged piggybacked piggybacks pigs pigtails piles pilled pilling pills pimp
pimped pimping pimps pinches pines piney ping pinged pink pinked piped piper pipes pipped piss pisses pissing
pita pitas pitcher pitches pitied pity pitying placed placer places plaice plaid plains plaint plait plated
platen plates plats plays pleas pleased pleases pleasure plops ploy plucking plugging plumbings pluming plump
plumped plumps plunged plunging plunking pocket pocks pods pointed pointy poke poked poker pokes polisher
polishers polishes poll polled polling poly polys pomp poms ponds pones pools pooped poops popper poppet pore
pored pores pork port portly pose poser poses posh positing positional positioned positions positive positron
positrons poss posses possible possibles post postilion potentially potentials potentiate potted potting pound
pour pouted pouts powder powdered powers poxes prat prate pray preciously prefect prefects premed prepped preps
prepuces pres presents preset presser pressers presses pressured pressures pressurized pressurizer pressurizes
prevent previous preys price priced pricing pride prided priding pried prim primp primped primping print
printer prints prize prized prizing probable probables probed probes prod produce produced producer producers
production project projected projectile projecting projections projector prole props prosecution prosecutor
prospector prospects protected protection protections protectors protects protester protractor provable
provably psst published pubs puck puddled puddles puds puffer pule puled puling pull pullers pulp pulsed
pulsing puma pumas pumper punched punned puns punts pupping purging purled purpler purples purr pursing pusher
pushes pushy pusses putt putted putting putts putz quack quarrels quartered quarterly quartet quartets quid
quids quilters quilts quin quine quins quints quip quips quire quirk quirts quitters quiz quoit quoits quot
quote rabid racer races racial racing racked rackets racking racks racy radials radian radical rads raffling
rafted rafting raged raging raid raise raiser raked raking rally ramble rambles rambling ramblings ranee ranged
ranger ranges rangy rankling ranted ranting rapids raping raptures rared raring rasher ratings rats ratter
rattlers rattlings rattly raved raveling raving razed razing reached readiness ready readying reals realty
reaming reams reaping reaps rearing rearm rebuilds rebuilt rebutted recap recd receipt received receivers
recent receptacles recessed recliner recon reconnect recons recorded recorders recoveries reddened redial reed
reefs reek reels reexported refill reforged reformed refs regally register registered registrars registry
rehearsed relax release relegated relented relied reliefs relies relieve reliever relievers relieves relished
rely remainder remained remittance remitted remove remover rend rending rends reneged rent renting rents repaid
repairer repartee repay repeats replace replanted replay report reportedly reporter reprimand reprises reprized
reps request requester requited resent resents resew residua residuals residues residuum resistances resistant
resister resisters resistors resits resp respired restated rested restore restorer restorers restrainer
restring retailer retailers retained retainers retarder retches retorted retraced retrained retrieved returner
revealed revering reverted revisers revolted revolvers ribbed ribbing ribs ricer rices rick ricking ricks
riders ridgy rids rife rifer rigged righto rights rigs rile riles rime rimes rind rinds ringed rink rinks rinse
riper riposted risers risk rites rive river rives roaches road roads roar robbed robbing robe robs rocket rocky
rode roisters role rook rooking rooks roped roper ropes ropy rotors rotund roue rouge roughs roundel rounder
rounds roust rousted rousting rove rubber rubbings rubbishy rubble rube rubes ruble rubles ruby ruck rucking
rucks ruffling ruing ruining ruins rumbaing rumblings rumoring rumple rumples rumpling rune runes runts runty
rupture ruptures rush rushed rushing rushy rusk rustled rustling rutted rutting rutty sacked sacking sacks
sades safe safely saga sagas sagged sago sail sake salines salt salted salty sames samey sandblast sandblaster
sandblasters sandblasts sanding sang sangs sank sarge satay sate sated satisfies saunaing sauntering save
sawhorse sawing scab scagged scags scalded scalding scalp scalped scalping scaly scanning scarping scat scats
scattered scattering scenting scheming scoffing scones scooping scope scoped scorcher scorchers scorches scorn
scorned scotched scoured scow scows scrams scrap scrapers scrapie scrapings scrapped scrapping scratched
scratches scratching scrawling screamingly screeched screechier screechiest screechy screed screens screes
screws screwy scrimped scrimping scripted scripting scrumming scrumping scrunches scrunching scrupling scubaing
scuffed scuffling sculling scumming seahorses sealer seaplane searched sect section sects secure securer
secures sedated sedating sediments seeding seeing seek seeking seeming seer seined seize seizes selected
selection selectors send sent sentiment sepal sepals serape serapes sere serge serviced services servile sett
settings settling setts sevens seventeens seventeenth seventh seventies sever sewing sewn sexting shacking shad
shaded shading shads shady shafting shafts shagged shagging shags shaken shaker shakers shalt shames shaming
shams shandy shaped shaping shared shares sharing sharking shattering shatters shaves shaving shay shearer
shearing sheathing sheaved sheaving sheen sheered sheeting shelf sheltered shewing shewn shews shies shift
shifting shilling shim shimmer shine shingling shinning shinny shipping shirring shirt shirted shirts shitting
shivs shoats shocking shoeing shoes shone shooing shoos shoot shoots shopped shopping shores shoring shorten
shorter shorting shorty shoulders shouted shoving showdown showed showers showery showier showings shredders
shrew shrike shrikes shrilling shrimped shrimping shrink shrinking shrinks shriveling shriving shrouds shtick
shticks shuck shucked shucking shucks shudder shuddered shuffling shunning shuns shunt shunting shunts shushing
shutdowns shutoffs shutter shuttered shuttering shutters shutting sick sicked sicker sics sidebars sidecars
sidewalk sidewalks sidewall sidewalls sidle sidles sieved sifted sifts sigh sight sightly signed signs silents
silks silo sines singeing singer singes singing singled singling sings sinks sinned sipping sires sirs sises
sited sittings situ sixes sixteens sixth size sizes skated sketches skid skill skimmed skimmers skimping skims
skin skinning skins skip skipping skips skit skittered skittering skunking slabs slacking slacks slag slagged
slagging slags slakes slaking slam slapping slashed slashing slated slathered sleazily sledders sledge sledging
sleeping sleeps sleeting sleeved sleeves sleight slew slicers slicker slicking slider sliders slighted slighter
slights slimmed slimmer slimy sling slings slinking slinks slippy slitting slobs sloes slogging slogs sloop
slope slopped slopping sloshing sloth sloths slotting slouched slower slowing sludgy slug sluggishly sluice
sluices slummer slump slumping slurping sluttish smacking smart smarted smarting smarts smasher smashes
smashing smattering smeared smearing smelly smelt smelted smelting smelts smirches smocking smooch smooched
smoothed smoother smoothie smooths smudge smug smut smuts snacking snag snagging snakes snaking snapper
snapping snare snarfing snatched snatches sneakily snick snicker snicking snicks snide sniffing sniffs sniffy
snip snipped snipping snit snitch snitched snitches snog snogged snood snootily snore snored snorted snorting
snorts snots snow snowing snows snub snuff snuffed snuffing snuffling snugged snugs soak soaking soapy soar
sockets socking socks sofa softy sold sole soled solidi solids solvents sometime someways somewhats sooth
sopped soppy sops sorta sorted soughing sounders soundings soup sourced sources sourcing sower sown sows space
spake spanking spanning spans spar spared sparer spares sparing spark spars sparse spate spatter spattered
spattering spatting spay spaying speared speck specking specs sped speeches speedily speeds speedy spells spend
spew spewed spied spill spine spinless spire spiriting spite spites spiting splashed splat splattered
splattering splatting splaying splicers splint splints splitting splittings splutter spluttering spoilers
sponging spored sporing sported spotlessly spotter spotters spotting spout spouting sprained spraining sprang
sprawling spreed spreeing sprig sprightly sprigs springing sprint sprinting sprints spritzing sprucing sprung
spud spunk spurge spurns spurs sputtered sputters spying squalling squared squarer squares squashes squashier
squatted squatting squawked squawking squeaked squeaker squeakier squeakily squeaky squealer squealers squeezed
squinting squire squiring squirming squished squishes stabled stabs stacking staff staffed staid stake staking
staled stales stalked stalls stampede stamper stanching standbys standings stank stapled starched starching
stared starlight starling starlings starred starring starter startled startling startups starved starving
starvings stashed state states statics stating stave staves stead steadied steadier steadies steads steal
steals steamy steed steeping steeps stepped stepping stetting stew stickers stickier stickies stickily stickler
stickpin stickpins sticky stiffed stiffs stile stilled stills stilted stinging stinker stinking stinky stints
stippled stippling stitch stitched stitches stitching stocking stockings stocks stoke stokes stole stoles
stolid stomp stomps stoners stony stool stoop stooped stoops stopper stopping stoppled stored stores storing
storming stoup stoups stove stoves stowing straighten straighter straightly straights strainers straiten
stranding strands stranger strangle strapped strapping stray straying strays streak streaming stretcher
stretchered stretchers stretches stretchier stretching stretchy strew striated striding stringed stringer
stringing stringy striped striping stripper strippers stripping stroking strong strop strops struck strung
strut stuff stuffing stuffings stump stumped stun stunk sturdily stutter stuttered stuttering sucker suckled
suckling suctions suing suit sulked sulking sulks sulky summed summers summery sumo sumps sums sung superposed
supp suppler supplier suppliers supplies supporter supporters supports suppose supposedly supposes suppurated
surer surf surfaced surfaces surged surges swag swagged swagging swags swam swamp swan swanking swanning
swapping swashed swashing swatch swatches swats swattered swattering swearing sweat sweated sweatier sweats
sweeping sweeps sweller swells swig swigs swill swilled swilling swimmer swims swindling swine swines swingeing
swinging switcher switchers switching swiveling swizzling swooshing swore swots swung syringing systems table
tabs tack tackling tads tagger tags tailgated tailgater tailgaters tailgates takers takings talc tali talking
tamer tames taming tamps tams tang tangle tangles tangoed tanked tanking tanks tanner tapas taping tared tares
targets taring tarns tarp tarps tars task tasking tasted taster tasting tats tattered taus taxes taxing
teaching teal teats teed teem teen teeter teetered tells telly tempered tenants tendered tent tented tenting
tents terminable terminally terminate terminates terminus terns terribly testers testier testings testis testy
text texted texting texts thane thanks thees theirs thermals theses thick thingy thirsty thirteens thirteenth
thirties thistles thole thong thorn thorough thought thousands thousandth threader threaders threadier thready
threat threaten threats threes threshed threshing throbs throe throes throttle throttler throttlers throttles
thrush thrusts thud thugs thunk thunks tickle ticklers tickles tiered ties tiger tights tilde tiles tilt
timbers timbre timers ting tingled tinkling tinned tipping tippling tires title tittered toad toady toddy
togged toils toke token tokes toking tollgate tolls tome tonal tonally toot toots topper toppled tops torch
torched torches torching tore tors tort totals tottered touche touchier touchily touchingly touchings touchline
touchy toughed toughing tousling town tracking trackless trad trail traipsing tram tramp tramped tramping
trapper trapping trappings tray tread treading treadled treadles treadling treads treaties treating treed
trembles trending trestle trey trials tribal trice trickier trickiest tricycles trier trill trimming trims
trios tripe tripled tripling tripos tripper tromping tron trooping troughs trouping trows truce truckle
truckled truckles truckling truer trues trug trumping trust trustees trusties tuba tubed tuber tubes tubs
tucking tugged tune tuned tuning tuns turd turds turf turfed turfing turfs turgid turner turnings turps twat
twelves twin twine twink twinkles twinkling twinks tying tyke tykes udder unbarred unclogged uncounted uncouple
underneaths unearned unfrocked unharmed unimpaired unison unlocked unmanned unmarred unmarried unpaired
unplumbed unprepared unremarked unvaried upmarket upthrusts user uses vacuums vague valuable valuers vanish
vape vapes variables variably variance vary vase vases vend vends verb verifies veritable verities versified
versifier versifies vest vests vets vibrate vibrated vibrations vibrators vibratos vilified vine vines violates
violating violation visits vitiates vitiating vitiation vitrified vivified voles vols volt voltages volume
volutes wacks wader wads wafer wafting wafts wage wager waggle waggles wags waif wailed wailing wain waist
waive waived waiving wake wales walleyed walloped wally wand wands waned wanes wank wanked wanting ward warded
wares warmed warms warned warp warred warts wary washed washers washier wasting waters watery watts waved waves
wavy wears weary weave weddings wedge wedges weeded weeding weeing weekly weening weepings weepy weft weighs
weight weighty weirdo weirs weld welder welled wells welly welted wench wend wended wending wens wept west
wetness wham whats wheat whens wheres whew whey whiling whiners whinge whinged whinges whinging whinny whiten
whiter whitey whits wholes whose whys widen wider width wielded wigglers wiggly wights wild wiles wiling wills
willy wilt wily wincing windbags winder windiness wined wingding wingdings winger winging winier winker winking
winner winning winnings winters winy wipes wiping wireds wiry wish wished wishers wising witch withe withes
withing witless wits witter wives wiving woad woks womble wombles wonk wonks wonted woods woody wooed woof wool
woos wording wordings words workbenches workings workshops world worming worms woulds wound wove wrapper wreak
wren wretch wriggle wriggles wrights writ write writing wrongs wrung yearn yearns yellows yellowy yesterdays
yours yous zeros
`
    .trim()
    .split(/\s+/),
)
