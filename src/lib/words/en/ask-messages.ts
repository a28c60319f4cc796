/** Sentences about one thing that somebody asks about or wishes: apart from the others, since few readers ask. */
export const ASK_MESSAGES = {
	'price.phase': '{better, select, yes {better: } other {}}{phase} (was {before})',
	'price.rest': 'and {many, plural, one {one more phase} other {# more phases}}',
	'price.changes':
		'{many} {one, select, yes {change} other {changes}} {more, select, yes {more} other {fewer}}',
	'price.sweat': '{more, select, yes {a little more sweat} other {a little less sweat}}',
	'price.mass': '{mass} {more, select, yes {heavier} other {lighter}}',
	'price.nothing': 'It costs nothing: as warm, as few changes, as light.',
	'why-not.nowhere': '{thing} goes neither over nor under the rest anywhere.',
	'why-not.best': 'Worn instead, {thing} fits best in {where}: {price}',
	'check.bring':
		'Bring it: with {thing}, {phase}{where, select, none {} other { ({where})}} is all right{more, plural, =0 {} one {, and # phase more} other {, and # phases more}}.',
	'check.missing': 'Not all is right yet: {phase}{where, select, none {} other { ({where})}}.',
	'check.near': 'This would do: {thing}.',
	'check.yes': 'Yes. {thing} does for this trip.',
	'check.yes-unworn': 'It does no harm, and it is not needed: the plan leaves {thing} at home.',
	'check.ask-first': 'Ask first: nobody knows what else {who} has.',
	'check.no': 'No. With {thing}, {phase}{where, select, none {} other { ({where})}}.',
	'check.same':
		'No, but not because of {thing}: {phase}{where, select, none {} other { ({where})}}, with it and without it.'
} as const;
