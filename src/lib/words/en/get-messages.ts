/** Sentences of what to get, who gets what and the lists: apart from the others, since few pages need them. */
export const GET_MESSAGES = {
	// What to get
	'remedy.now':
		'{usual, plural, =0 {{rare, plural, =0 {{who} needs nothing: all is right as it is.} other {In the usual weather all is right.}}} one {# moment of the trip is not all right in the usual weather.} other {# moments of the trip are not all right in the usual weather.}}{rare, plural, =0 {} one { In one year in ten one is wrong.} other { In one year in ten # are wrong.}}',
	'remedy.start':
		'{who} cannot start without {what, select, missing {{part, select, sleep {a sleeping bag} other {something for the {part}}}} wrongFootwear {the right footwear} other {{gear}}}{day, plural, =0 {} other { on day #}}{thing, select, none {, and nothing on the list does} other {: get {thing}}}.',
	'remedy.rung':
		'{things}: {usual, plural, =0 {{who} is all right in the usual weather{rare, plural, =0 {, and in one year in ten} one {; in one year in ten # moment stays wrong} other {; in one year in ten # moments stay wrong}}} one {# moment stays wrong in the usual weather{rare, plural, =0 {} other {, and # in one year in ten}}} other {# moments stay wrong in the usual weather{rare, plural, =0 {} other {, and # in one year in ten}}}}.',
	'remedy.cost':
		'{free, select, yes {It costs nothing} other {It costs about {cost}}} and weighs {mass}{start, select, yes {, with what the day cannot start without} other {}}.',
	'remedy.mended': '{thing}, proofed again',
	'remedy.instead': 'In place of {thing}: {others}.',
	'remedy.solves':
		'{place, select, none {} other {{place}: }}“{phase}”{round, plural, =0 {} other { in round #}}: {from} now, {to} with it.',
	'remedy.beyond':
		'{many, plural, one {One moment stays wrong} other {# moments stay wrong}} with everything on the list. Shorten them, find shelter or heat, or do not go.',
	'remedy.nothing': 'Nothing on the list makes more moments right.',
	'remedy.proof':
		'{proven, select, yes {No smaller or cheaper set on the list does as well.} other {Not every set was tried: a smaller or cheaper one may do as well.}}',

	// The list of a client
	'list.rides.worn': 'Wear on day one',
	'list.rides.top': 'On top of the pack and in pockets',
	'list.rides.pack': 'In the pack',
	'list.rides.bag': 'In the bag, for later days',
	'list.has': 'you have {has}',
	'list.forOthers':
		'you bring it for {whom, select, all {everybody} other {{names}}}{mass, select, none {} other {, {mass} in your pack}}',
	'list.fromOthers': '{who} brings it',
	'list.leave.other use': 'made for something else',
	'list.leave.does not wear it': 'not worn, as told',
	'list.leave.not needed': 'nothing on this trip asks for it',
	'list.small.sun cream': 'Sun cream',
	'list.small.lip balm': 'Lip balm with sun filter',
	'list.small.first aid': 'Plasters and own medicine',
	'list.small.toilet kit': 'Toilet paper, bag for it, hand gel',
	'list.small.repair kit': 'Tape, cord, needle and a spare lace',
	'list.small.flask': 'Flask for hot drinks: a bottle freezes',
	'list.small.blister kit': 'Blister plasters and tape for the heels',
	'list.small.spare glasses': 'Second pair of glasses, strap and anti-fog cloth',

	// Lending
	'lending.client':
		'{who} gets {things}: {now, plural, one {# moment that is not right} other {# moments that are not right}} in the usual weather {left, plural, =0 {{now, plural, one {is right} other {are all right}} then} one {become one} other {become #}}.',
	'lending.rare':
		'{who} gets {things}: in one year in ten {left, plural, =0 {nothing is wrong then} one {# moment is wrong then instead of {now}} other {# moments are wrong then instead of {now}}}.',
	'lending.start': '{who} gets {things}, and can start.',
	'lending.none':
		'{now, plural, =0 {{who} needs nothing from the house.} one {Nothing in the house helps {who}: # moment is not right in the usual weather.} other {Nothing in the house helps {who}: # moments are not right in the usual weather.}}',
	'lending.scarce': 'More could use {things} than there are.',
	'lending.try-on': '{who} tries {things} on first: a size is not known.',
	'bag.thing':
		'{many, plural, one {{thing}} other {# × {thing}}}, {mass}: {loss, select, glove {somebody loses a glove} hat {somebody loses a hat} top {somebody’s top is soaked} socks {somebody’s socks are soaked} glasses {somebody’s glasses break} other {somebody’s torch fails}}{many, plural, one {} other { # times}} on about {likely} of 100 such trips.',
	'bag.left': 'With it, about {left} of 100 such trips go without a loss that nobody has a spare for.',
	'bag.none': 'Nobody needs a spare from the group: each has a second one, or the days are mild.',
	'lending.proof':
		'{proven, select, yes {Nobody is helped more by any other way to share out what there is.} other {Not every way to share it out was tried: another one may do as well.}}'
} as const;
