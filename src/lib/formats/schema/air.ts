import Joi from 'joi';
import { GROUNDS, type StageBase } from '../../core/document/types';
import { PRECIPITATIONS, type Precipitation, type WetSpell } from '../../core/document/weather';
import { USUAL_POOL_K } from '../../core/weather/stage-air';
import { between, count, oneOf } from './common';

const conditionRanges = {
	airTempC: [-60, 50],
	wind10mKmh: [0, 200],
	humidityPct: [0, 100],
	waterTempC: [0, 40],
	altitudeM: [-400, 8900],
	lapseKPerKm: [-20, 12],
	warmerAtTopK: [0, 20]
} as const;
export const condition = (key: keyof typeof conditionRanges): Joi.NumberSchema =>
	between(conditionRanges[key][0], conditionRanges[key][1]);
export const typed = Joi.object({
	airTempC: condition('airTempC'),
	wind10mKmh: condition('wind10mKmh'),
	humidityPct: condition('humidityPct'),
	precipitation: oneOf(PRECIPITATIONS),
	ground: oneOf(GROUNDS),
	waterTempC: condition('waterTempC')
});

const wetSpell = Joi.object({
	fromMin: count(0, 1440).required(),
	toMin: count(0, 1440).required(),
	kind: oneOf(PRECIPITATIONS).required()
})
	.custom((value: WetSpell, helpers) => (value.toMin > value.fromMin ? value : helpers.error('spell.order')))
	.messages({ 'spell.order': 'must end later than it starts' });
export const wetSpells = Joi.array().items(wetSpell).max(24);
export const heightForecast = Joi.object({
	altitudeM: condition('altitudeM').required(),
	lowTempC: condition('airTempC').required(),
	highTempC: condition('airTempC').required(),
	wind10mKmh: condition('wind10mKmh').allow(null).default(null)
});

/**
 * What is known of the air. A document may say one temperature for the whole day, `airTempC`, and one kind of rain or
 * snow that falls all day, `precipitation`; they are taken for low and high, and for a spell from 0 to 24 hours.
 */
export const base = Joi.object({
	airTempC: condition('airTempC'),
	precipitation: oneOf(PRECIPITATIONS),
	lowTempC: condition('airTempC'),
	highTempC: condition('airTempC'),
	altitudeM: condition('altitudeM').required(),
	lapseKPerKm: condition('lapseKPerKm').default(6.5),
	inversion: Joi.object({
		topM: condition('altitudeM').required(),
		warmerAtTopK: condition('warmerAtTopK').default(USUAL_POOL_K)
	})
		.allow(null)
		.default(null),
	heights: Joi.array().items(heightForecast).max(8).unique('altitudeM').default([]),
	wind10mKmh: condition('wind10mKmh').required(),
	humidityPct: condition('humidityPct').default(70),
	wetSpells,
	ground: oneOf(GROUNDS).default('bare')
})
	.xor('airTempC', 'lowTempC')
	.and('lowTempC', 'highTempC')
	.nand('precipitation', 'wetSpells')
	.custom((value: StageBase & { airTempC?: number; precipitation?: Precipitation }, helpers) => {
		const { airTempC, precipitation, ...rest } = value;
		const lowTempC = rest.lowTempC ?? airTempC;
		const highTempC = rest.highTempC ?? airTempC;
		if (highTempC < lowTempC) return helpers.error('temperature.order');
		return {
			...rest,
			lowTempC,
			highTempC,
			wetSpells:
				rest.wetSpells ??
				(precipitation && precipitation !== 'dry' ? [{ fromMin: 0, toMin: 1440, kind: precipitation }] : [])
		};
	})
	.messages({
		'temperature.order': 'the high must not be below the low',
		'object.xor': 'needs a low and a high, or one temperature for the whole day',
		'object.missing': 'needs a low and a high, or one temperature for the whole day',
		'object.and': 'needs both a low and a high'
	});
