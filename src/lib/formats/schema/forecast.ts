import Joi from 'joi';
import { condition, heightForecast, wetSpells } from './air';
import { count, id, isoDate } from './common';

/** One day of a forecast that comes in. */
const dayForecast = Joi.object({
	date: isoDate.required(),
	altitudeM: condition('altitudeM').required(),
	lowTempC: condition('airTempC').required(),
	highTempC: condition('airTempC').required(),
	wind10mKmh: condition('wind10mKmh'),
	humidityPct: condition('humidityPct'),
	wetSpells: wetSpells.default([]),
	heights: Joi.array().items(heightForecast).max(8).unique('altitudeM').default([])
})
	.custom((value: { lowTempC: number; highTempC: number }, helpers) =>
		value.highTempC < value.lowTempC ? helpers.error('temperature.order') : value
	)
	.messages({ 'temperature.order': 'the high must not be below the low' });

/** A forecast file, as published. */
export const forecastFileSchema = Joi.object({
	format: Joi.string().valid('snug-summit/forecast').required(),
	formatVersion: Joi.number().valid(1).required(),
	source: Joi.string().allow('').max(80).default(''),
	days: Joi.array().items(dayForecast).min(1).max(60).unique('date').required()
});

/** What is asked of the climate service, and a file that is to be read. */
export const climateNormalsSchema = Joi.object({ place: id.required(), month: count(1, 12).required() });
export const climateForecastSchema = Joi.object({
	place: id.required(),
	from: isoDate.required(),
	days: count(1, 60).default(1)
});

export const readFileSchema = Joi.object({
	text: Joi.string().max(500000).required(),
	name: Joi.string().max(80).default('')
});
