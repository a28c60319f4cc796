/**
 * Every sentence that the app makes from figures, in English. ICU message syntax: {who} is a first name, {where} a phase
 * in quotation marks with its round and day, {thing} the name of a thing, figures come with their unit.
 * Voice: a person does or feels something, and why; one term for one thing; under 25 words a sentence.
 */
export const MESSAGES = {
	list: '{first} and {last}',
	where:
		'“{phase}”{round, plural, =0 {} other { in round {round}}}{from, plural, =0 {} other { from round {from} on}}{day, plural, =0 {} other { on day {day}}}{more, plural, =0 {} one { and in one more phase} other { and in # more phases}}{days, plural, =0 {} one { and on one more day} other { and on # more days}}',
	'on-days': '{sentence} It is so on {days} days.',

	// Weathers
	'weather.planned': 'Typical',
	'weather.cold-snap': 'Cold snap',
	'weather.mild-wet': 'Mild and wet',
	'weather.planned.meaning': 'What each day says: its forecast, or what is usual there.',
	'weather.cold-snap.meaning': 'About 1 day in 10 is this cold: {difference} colder, a tenth more wind.',
	'weather.mild-wet.meaning':
		'About 1 day in 10 is like this: {difference} milder, {wind} times the wind, six hours of rain or snow by day.',

	'weather.usual': '{place} in {month}, {service}',

	// Findings: what a phase comes to
	'finding.short':
		'{start, select, cold {{who} is already too cold when {where} begins.} other {{who} stays warm for {roughly, select, yes {roughly } other {}}{held} of {minutes} in {where}, then gets too cold.}}{over, select, none { There is nothing to put on over everything.} other {}}{help, select, torso { One more warm layer over the torso helps most.} legs { Warm over-trousers or one more layer on the legs help most.} neck { A tube round the bare neck helps most.} head { Something warmer on the head helps most.} other {}}',
	'finding.short-hands':
		'{start, select, cold {{who}’s fingers are already too cold when {where} begins.} other {{who}’s fingers stay warm for {roughly, select, yes {roughly } other {}}{held} of {minutes} in {where}, then go numb.}} Mittens or warmers help.',
	'finding.short-feet':
		'{start, select, cold {{who}’s toes are already too cold when {where} begins.} other {{who}’s toes stay warm for {roughly, select, yes {roughly } other {}}{held} of {minutes} in {where}, then go numb.}} Dry socks, warmer boots and a mat underfoot help.',
	'finding.nothing-suffices':
		'{part, select, hands {No gloves keep {who}’s fingers warm for {minutes} in {where}.} feet {No boots keep {who}’s toes warm for {minutes} in {where}.} other {No clothing keeps {who} warm for {minutes} in {where}.}} Shorten it, find shelter, heat, or do not go.',
	'finding.wet-through':
		'{who} gets soaked {part, select, torso {to the skin} other {on the legs}} in {where}: nothing worn there keeps out that much water.{limit, select, some { The body stays warm for {held} of {minutes}.} other {}}',
	'finding.soaked':
		'{who}’s {things} {by, select, sweat {get soaked with sweat} water {fill with water} other {get soaked}} in {where}, and {part, select, hands {fingers get} feet {toes get} other {the body gets}} cold {cold, select, there {there} other {later}}. Change to {part, select, hands {dry gloves} feet {dry socks} other {a dry top}}.',
	'finding.warm-before-stop':
		'{who} gets too warm in {where}, and a stop follows. Open up or take a layer off before the sweat comes.',
	'finding.warm':
		'{who} gets too warm in {where}{off, select, opens {: open the front.} thing {: the {thing} can come off.} shade { whatever comes off: seek shade, drink, start earlier.} other { and needs all of it later: open up and go slower.}}',
	'finding.short-sleep': '{who}’s sleeping bag is too thin for {air} in {where}.',
	'finding.frostbite':
		'It feels like {felt} in {where}, and bare skin can freeze within {from} to {to}. Cover up and watch each other’s faces. The guide decides whether to go.',

	// Findings: what is missing, or nobody has asked
	'finding.missing': '{who} has nothing for the {part} in {where}.',
	'finding.not-asked':
		'{about, select, relief {Ask {who} how a relief stop works with three layers on the legs in {where}: clips, zips, a drop seat?} bag {Ask {who} what the number on “{thing}” means: °C or °F, comfort or limit. Until then the night is not judged.} gear {Ask {who}: is there {gear}? It is needed first in {where}.} other {Ask {who}: what is there for the {part}? It is needed first in {where}.}}',
	'finding.gearForThis': '{who} has no {gear} for {where}.',
	'finding.no-opening':
		'{who} asks for trousers that open for a relief stop, and none of those worn in {where} does. Side zips or a drop seat.',
	'finding.nothing-works':
		'Nothing that {who} has tried works for the {part, select, torso {body} other {{part}}}. Solve it before the trip: try other things on together.',
	'finding.no-spare-gloves':
		'{who} has one pair of gloves only, and a lost glove ends the day. Bring or lend a second pair.',
	'finding.spareShades': '{who} has one pair of dark glasses only. Bring or lend a second pair, or goggles.',
	'finding.too-few':
		'The trip asks {who} for {needed} {kind}, and there {has, plural, =0 {are none} one {is one} other {are #}}.',
	'finding.dryChange':
		'{who} stands for long after hard work in {where} and has no {dry, select, both {dry top and no dry socks} top {dry top} other {dry socks}} to change into.',

	// Findings: what a worn thing does not do
	'finding.underHelmet':
		'{who} wears the {thing} in {where}, and it does not go under a helmet. Wear a thin cap or the hood of a base layer.',
	'finding.hoodOverHelmet':
		'It rains in {where}, and the hood of the {thing} does not go over {who}’s helmet.',
	'finding.looseEnds':
		'{who} wears the {thing} in {where}, where it can catch in lifts, wheels and chains. Wear a tube instead.',
	'finding.shootingSeason':
		'It is shooting season, and {who} wears the {thing} outermost in {where}. Put bright colour over everything.',
	'finding.traffic': '{who} is among traffic in poor light in {where}, and nothing reflects on the {thing}.',
	'finding.meltsAtFire':
		'{who} wears the {thing} outermost at an open fire in {where}, where it would melt. Wear wool or cotton over it.',
	'finding.tears': '{who} would tear the {thing} in {where}. Wear woven, waxed or wool cloth outermost.',
	'finding.quietFace':
		'{who} wears the {thing} in {where}, and it crackles in the cold. A brushed or wool face is quiet enough for animals.',
	'finding.overHarness':
		'{who} wears the {thing} with a harness in {where}. It does not stay tucked in, nor open from below for the tie-in.',
	'finding.armsUp':
		'{who} works with arms up in the wet in {where}, and the {thing} has no seal at the cuff. Pull the glove over the sleeve.',
	'finding.inWater':
		'{who} stands in the water in {where}, and nothing keeps it off the legs. Wear waders or high rubber boots, or change at once.',
	'finding.slimCuff':
		'{who} would catch the crampons in the {thing} in {where}: it is wide at the foot. Wear a gaiter or a strap.',
	'finding.longTail':
		'{who} sits on the long tail of the {thing} in {where}: it is in the way in a saddle or harness.',
	'finding.ponchoInWind':
		'{who} wears the {thing} against the rain in {where}, and it does not hold in this wind. Wear a shell with a hood.',
	'finding.touchScreen':
		'{who} cannot work a screen with the {thing} on in {where}. Wear a liner that works it, or bare a hand for a moment.',
	'finding.wristLeash': 'A dropped glove is gone in {where}, and there is no leash on {who}’s {thing}.',
	'finding.fitForTown': '{who} wears the {thing} among people in {where}, and it is not fit for town.',
	'finding.armour':
		'{who} wears the {thing} in {where}, and it has no room for armour. Clothing alone is no protection from impact.',
	'finding.darkLensDriving': '{who} wears the {thing} in {where}: too dark to drive with.',
	'finding.school': '“{question}” is set to “{choice}”, and {who} wears the {thing} in {where} all the same.',

	// Findings: what things do to one another and to the body
	'finding.squeezed':
		'{part, select, feet {The {thing} with the {under} inside is too full for {who}: a full boot is a cold boot. Wear a thinner sock, or a boot with more room.} other {The {thing} is too tight over the {under} on {who}. Wear less under it, or a size more.}}',
	'finding.sockHeight':
		'{who} wears the {thing} in a boot with a higher cuff in {where}, and the cuff rubs the skin. Wear a higher sock.',
	'finding.wetCuff':
		'Water runs from the {thing} along {who}’s sock into the boot in {where}. A gaiter or a waterproof leg stops it.',
	'finding.downWet':
		'{who} wears the {thing} outermost in the wet in {where}, and wet down goes flat. Put a waterproof over it, or wear synthetic fill.',
	'finding.dryForNight':
		'{who} wears the {thing} in {where}, which has to stay dry for the night. Keep it in the dry bag.',
	'finding.cottonLegs':
		'{who} wears the {thing} in the wet in {where}: wet cotton stays wet and cools the legs. Wear quick-drying trousers or a rain leg.',
	'finding.cotton-next-to-skin':
		'{who} wears the {thing} next to the skin: it stays wet after {where} and cools at the next stop. Wear wool or synthetic instead.',
	'finding.outOfPlace':
		'{who} wears the {thing} in {where}, which it is not made for. Nothing else in the kit does as well.',
	'finding.wrongFootwear':
		'{who} has the {thing} on in {where}: it is the wrong footwear for that. Ask for the right pair.',
	'finding.stopClothesInWork':
		'{who} needs the {thing} to stay warm at work in {where}, and will sweat it wet. Lend a warmer layer for moving.',
	'finding.underwearOutside':
		'{who} wears the {thing} with nothing over it in {where}. Add trousers or a shirt.',
	'finding.downInWork':
		'{who} works hard in the {thing} in {where}: down takes up the sweat and is flat at the next stop. Wear fleece or synthetic fill.',
	'finding.unusual':
		'{who} wears the {thing} and the {under} together in {where}, which people rarely do. Nothing else is warm enough.',
	'finding.hoods':
		'{who} wears three hoods on top of one another in {where}, and they fill the neck. Roll one away.',
	'finding.electricHeat':
		'{who} is judged with the heat of the {thing} off.{compared, select, yes { The body stays warm for {off} of {where}, and for {on} with the heat on.} other {}} The battery gives about {battery} when warm, less in the cold.',
	'finding.vapourSock':
		'{who} wears the {thing} on bare skin in {where}. Wear a thin liner under it, and dry the feet every night.',
	'finding.bottomsInBoot':
		'The hem of the {thing} ends inside {who}’s boot and presses. Pull it up over the sock, or wear three-quarter length.',
	'finding.underWaders':
		'{who} has nothing warm under the {thing} in {where}. Wear long underwear, and warm trousers too below {freezing}.',
	'finding.burns':
		'{who}’s {thing} can burn the skin: never use it on bare skin, asleep, or where feeling is poor. Ask a doctor.',
	'finding.frozenFilter': 'Frost ruins {who}’s {thing}. Keep it in the sleeping bag at night.',
	'finding.wet-morning':
		'{who} starts with wet things, since nothing dries there: {things}. {feet, select, cold {Wet feet day after day do harm, so one dry pair stays for the night.} other {They warm less today.}}',
	'finding.pack-too-small':
		'{who} carries {litres} in {where}, and the {thing} holds {holds}. The warmest phase is the fullest pack.',
	'finding.rides-wet':
		'Rain gets into {who}’s pack in {where}, and the {thing} rides in it. Use a roll-top bag or a cover.',
	'finding.wet-beside-down':
		'{who}’s {thing} rides beside the wet {under} in {where}, and wet down goes flat. Keep them apart in a roll-top bag.',
	'finding.search-cut':
		'{who}’s kit is large, so only the likeliest things of each kind were tried. A better plan may exist.',

	// Gear that a finding asks for
	'gear.torch': 'a head torch',
	'gear.cleats': 'a pair of light cleats for ice underfoot',
	'gear.bike-lights': 'a light in front and behind on the bicycle',
	'gear.dry-bag': 'a roll-top bag or a rain cover that keeps dry things dry',
	'gear.float': 'a buoyancy vest',
	'gear.seat-mat': 'a mat to sit on',
	'gear.none.seat-mat': 'mat to sit on',
	'gear.none.float': 'buoyancy vest',
	'gear.none.torch': 'head torch',
	'gear.none.cleats': 'light cleats for ice underfoot',
	'gear.none.bike-lights': 'lights on the bicycle',
	'gear.none.dry-bag': 'roll-top bag or rain cover to keep dry things dry',

	// One verdict, as it is opened
	'verdict.right': '{sleep, select, yes {Right for the night.} other {Right for these minutes.}}',
	'verdict.cool':
		'{part, select, body {{who} stays warm enough, but feels cold.} sleep {The bag is warm enough, but the night feels cold.} other {{who} stays warm enough, but the {part} get cold.}}',
	'verdict.short':
		'{part, select, sleep {The night is too cold for the bag.} other {{start, select, cold {{who} is cold already when it begins ({part}).} other {{who} stays warm for {held} of {minutes} ({part}).}}}}',
	'verdict.warm':
		'{hopeless, select, yes {It is too warm whatever is worn: seek shade, drink, start earlier.} other {{who} gets too warm: open up, or take a layer off.}}',
	'verdict.warm-before-stop': '{who} gets too warm, and a stop follows: open up, or take a layer off first.',
	'verdict.wet-through': '{who} gets soaked {part, select, torso {to the skin} other {on the {part}}}.',
	'verdict.nothing-suffices':
		'No clothing keeps {who} warm for {minutes} here: shorten, shelter, heat, or do not go.',
	'verdict.not-judged': 'Nobody has asked {who} yet, so this is not judged.',
	'tag.short': '{start, select, cold {short: cold already} other {short: {held} of {minutes}}}',

	'title.felt': '{phase}: {air}, feels like {felt}',
	'why.layer': 'It adds {clo} clo in “{phase}”, in this wind and movement.',
	'why.felt': '{air} of air past the body, effort {effort} W/m².',

	// A client, in one sentence
	'client.right': '{who} is all right on every day, in all weathers that are planned for.',
	'client.wrong':
		'{who} is not all right: {phase} ({place}){more, plural, =0 {} one {, and there is one more phase} other {, and there are # more phases}}.',
	'group.unasked': 'Nobody has asked {who} yet.',
	'group.failed': 'The plan of {who} could not be worked out; it is tried again.',
	'group.waiting': 'Waiting for the plan.',
	'group.right': '{who} is all right on every day, in all weathers that are planned for.',
	'group.ask': 'Ask {who} what there is for torso and legs: it cannot be told before.',
	'group.rare': '{who} is all right in the usual weather. If it comes otherwise ({weather}): {phase}.',
	'group.wrong':
		'{phase} ({place}){more, plural, =0 {} one {, and there is one more phase} other {, and there are # more phases}}.',

	// Moments of the simulated day
	'following.label': 'The days after it get …',
	'following.wind': 'the same wind',
	'following.rain': 'the same hours of rain or snow',
	'following.bed': 'the same bed',
	'following.air': 'the same air: temperatures, wind, rain',
	'people.new': '+ New client',
	'people.nobody': 'Nobody comes along yet.',
	'people.group': 'Who is not all right?',
	'people.tomorrow': 'Tonight and tomorrow',
	'day.gap': '{days, plural, one {One day lies} other {# days lie}} between the day before and this one.',
	'day.before': 'This is not after the day before it.',
	'day.notFromBed': 'People slept at {height} the night before.',
	'day.highUnderStart': 'The high point lies under the start.',
	'day.lowOverHigh': 'The low point lies over the high point.',
	'day.longDay': 'A day of {hours} hours: is that meant?',

	'moment.sweating': '{who} sweats more than is comfortable',
	'moment.soaked': 'the layers next to {who}’s skin are wet',
	'moment.cold': '{who} has lost so much heat that the cold is not held off any more',
	'moment.hot': 'nobody keeps this up: open up, take layers off, go slower',
	'moment.ended': 'the model ends here: shelter, warmth and help come first',
	moment: '{time}, {minute} min into “{phase}”: {what}.',
	'moment.remedy':
		'With {thing} {does, select, off {off} other {on}} from the start of it, {then, plural, =0 {that does not happen} other {that happens after # min}}.',

	// A day, told
	'story.start':
		'{time} start in {things}.{cool, select, yes { Feeling a little cool for the first ten minutes is right.} other {}}',
	'story.on':
		'{how, select, dry {dry {thing} on for the wet {other}{from, select, bag {, from the dry bag} top {, from the top of the pack} pack {, from the pack} pocket {, from a pocket} other {}}} fresh {dry {thing} on instead of the wet} instead {{thing} instead of {other}} everything {{thing} on over everything} harness {{thing} on over the harness} shell {{thing} on under the shell} other {{thing} on}}',
	'story.off':
		'{to, select, pocket {{things} off, into a pocket} top {{things} off, on top of the pack} pack {{things} off, into the pack} base {{things} off, left behind} other {{things} off}}',
	'story.front':
		'{front, select, closed {front closed} open {front wide open} other {front opened at the neck}}',
	'story.longer': 'longer than {minutes}: {things} on over everything',
	'story.change': '{time} {phase}{until, plural, =0 {} other { and each time up to round #}}: {what}.',
	'story.evening':
		'{tonight, select, yes {} other {Evening: }}{what, select, bag {{dried} into bed with you, dry in one night} room {{dried} hung up, dry by morning} other {insoles out of the {boots}}}{with, select, yes {; insoles out of the {boots}} other {}}.',
	'if.wet': 'it gets wet',
	'if.cold': 'it turns cold',
	'if.wind': 'it blows',
	'if.mild': 'it stays mild',
	'if.lead': 'If {causes} ({weather})',
	'if.difference': '{phases}: {what}.',
	'if.on': '{things} on',
	'if.off': 'without {things}',
	'if.short': '{phase} ({held} of {minutes})',
	'if.verdict': '{phase} ({verdict})',
	'if.cold-already': '{phase} (cold when it begins)',
	'if.many-cold': '{many} phases that begin cold, {first} to {last}',
	'if.worse': '{who} is then not warm and dry enough in {phases}.',

	// What was shown about a plan
	'bound.stopped': 'Stopped after {done} of {days} days: the others have no plan yet.',
	'bound.best':
		'{proven, select, yes {Nothing better is possible{cut, select, yes { with the likeliest things of this large kit} other { with this kit}}: no plan is warmer, drier or takes fewer changes.} near {It takes at most {gap, plural, one {one change} other {# changes}} a day more than the best possible plan.} other {This is the best plan found in time; how much better one could be is not known.}} {weight, select, least {No smaller load does as well} close {Its load is at most {percent} % over the smallest possible} other {It is the smallest load found so far}}.{fits, select, no { Not everything goes into the pack.} other {}}',

	// A phase in a list of phases
	'phase.short':
		'{start, select, cold {{who} is cold from the start of {phase}} other {{who} stays warm for {held} of {minutes} in {phase}}}',
	'phase.short-unknown': '{who} gets too cold in {phase}',
	'phase.wet-through': '{who} gets soaked in {phase}',
	'phase.nothing-suffices': 'nothing keeps {who} warm in {phase}',
	'phase.not-judged': 'nobody has asked {who} what there is for {phase}',
	'phase.right': '{who} is right in {phase}',
	'phase.cool': '{who} feels cold in {phase}',
	'phase.warm': '{who} gets too warm in {phase}',
	'phase.warm-before-stop': '{who} gets too warm in {phase}, before a stop',
	'phase.where': '{day, plural, =0 {} other {day #}}{both, select, yes {, } other {}}{weather}',

	// How many of a kind
	'count.tops': '{many, plural, one {top next to the skin} other {tops next to the skin}}',
	'count.underwear': '{many, plural, one {pair of underpants} other {pairs of underpants}}',
	'count.bottoms': '{many, plural, one {pair of long underpants} other {pairs of long underpants}}',
	'count.socks': '{many, plural, one {pair of socks} other {pairs of socks}}',
	'count.gloves': '{many, plural, one {pair of gloves} other {pairs of gloves}}',
	'count.shades':
		'{many, plural, one {pair of dark glasses or goggles} other {pairs of dark glasses or goggles}}',
	'count.torch batteries':
		'{many, plural, one {spare set of batteries for the torch} other {spare sets of batteries for the torch}}',
	'count.power banks': '{many, plural, one {power bank} other {power banks}}',
	'count.boot warmers':
		'{many, plural, one {pair of foot warmers to dry the boots} other {pairs of foot warmers to dry the boots}}'
} as const;
