/** Cautions, each in two parts: what is read first, and the rest. A plan shows none of them, so they stand apart. */
export const CAUTION_MESSAGES = {
	'caution.frostbite.lead': 'It feels like {felt} in “{phase}”.',
	'caution.frostbite':
		'Bare face, ears and hands can freeze {first, select, atonce {in under {to}} other {within {from} to {to}}}, wet skin and skin on metal sooner. Cover up and watch each other’s faces. The guide decides whether to go.',
	'caution.storm.lead': 'A wind of {wind} knocks people over in “{phase}”.',
	'caution.storm': 'It takes gloves away, too. Go another way or another day; the guide decides.',
	'caution.avalanche.lead': 'Avalanche terrain.',
	'caution.avalanche':
		'This tool knows nothing of the snow. Read the bulletin of the day, carry transceiver, shovel and probe, and do what the licensed guide says.',
	'caution.soak-then-stand.lead':
		'People come wet {from, select, water {through} other {with sweat}} from “{work}” and stand in “{phase}”.',
	'caution.soak-then-stand':
		'That is {minutes} at {felt} felt. Dry things and the stop coat go on at once, or the stop moves under cover.',
	'caution.immersion.lead': 'Cold water takes the breath and the hands within minutes.',
	'caution.immersion':
		'Waders flood, and no clothing keeps anyone afloat. Follow the local guide on life vest, staff and rules, and keep dry things at the car.',
	'caution.altitude.lead':
		'The day goes up to {height}{sleeps, select, high {, and people sleep at {bed}} other {}}.',
	'caution.altitude':
		'Climb slowly, and never go higher with a headache, sickness or odd behaviour. Altitude illness is not cold, and clothes do not help. Ask a doctor beforehand; going down is the cure.',
	'caution.glacier.lead': 'Glacier.',
	'caution.glacier':
		'Rope, harness and the way are the licensed guide’s business. The coat has to go on over the harness.',
	'caution.steep-ground.lead': 'Steep or icy ground.',
	'caution.steep-ground':
		'Light cleats are for paths, not for steep ice. Clothing does not protect from a fall.',
	'caution.heat.lead': 'It is {air} in “{phase}”.',
	'caution.heat':
		'Drink, rest in the shade, start earlier. Confusion, or no more sweat in the heat, is an emergency.',
	'caution.open-fire.lead': 'Open fire in “{phase}”.',
	'caution.open-fire':
		'Synthetic fibres, fills and membranes melt into the skin, wax burns, cords dangle. Wear wool or cotton outermost, and never run a stove in a closed tent.',
	'caution.shooting-season.lead': 'Shooting season.',
	'caution.shooting-season':
		'Bright colour is outermost in every phase, over coat and rain shell too. Ask locally where and when.',
	'caution.darkness.lead':
		'It is dark in “{phase}”{more, plural, =0 {} one { and one more phase} other { and # more phases}}.',
	'caution.darkness':
		'Everybody carries a torch with fresh batteries, on top of the pack before it gets dark.',
	'caution.traffic.lead': 'Traffic in poor light or rain.',
	'caution.traffic': 'Be reflective and lit, with nothing dangling, and no hood over sight and hearing.',
	'caution.ultraviolet.lead': 'Strong sun{snow, select, yes {, thrown back by the snow} other {}}.',
	'caution.ultraviolet':
		'Wear dark lenses, put cream on nose, chin and ears from below too, and carry a second pair of glasses.'
} as const;
