import Joi from 'joi';
import { CATALOGUE } from '../../core/cloth/catalogue';
import { SCHOOL_IDS, choicesOf } from '../../core/document/schools';
import { DOINGS, type Trip } from '../../core/document/types';
import { wetSpells } from './air';
import { between, count, id, isoDate, name, oneOf, versioned } from './common';
import { stage } from './stage';

/** Choices in the schools; what is left out is inherited. */
export const schools = Joi.object(
	Object.fromEntries(SCHOOL_IDS.map((school) => [school, oneOf(choicesOf(school))]))
);
const weather = Joi.object({
	id: id.required(),
	name: name.required(),
	meaning: Joi.string().allow('').max(200).default(''),
	tempOffsetK: between(-30, 30).default(0),
	windFactor: between(0, 5).default(1),
	wetSpells: wetSpells.default([])
});

const site = Joi.object({
	placeId: id.allow(null).default(null),
	latitudeDeg: between(-90, 90).required(),
	longitudeDeg: between(-180, 180).required(),
	utcOffsetMin: count(-720, 840).required()
});

const tripFields = {
	name: name.required(),
	place: Joi.string().trim().allow('').max(120).default(''),
	site: site.allow(null).default(null),
	weathers: Joi.array().items(weather).min(1).max(5).unique('id').required(),
	stages: Joi.array().items(stage).max(40).unique('id').required(),
	schools
};

export const trip = Joi.object<Trip>({ id: id.required(), ...tripFields, ...versioned });

/** What the pages save. `version` is the one that was edited. */
export const tripEditSchema = Joi.object({ ...tripFields, version: count(1, 1e9).required() });
export const newTripSchema = Joi.object({
	name: name.required(),
	place: tripFields.place,
	site: tripFields.site,
	weathers: tripFields.weathers.optional(),
	/** a past trip whose stages are taken over, from a first date on */
	likeTripId: id,
	firstDate: isoDate
});

/** What a house uses types of the catalogue for. */
export const uses = Joi.object()
	.pattern(
		Joi.string().valid(...CATALOGUE.map(({ id }) => id)),
		Joi.array().items(oneOf(DOINGS)).unique().max(DOINGS.length)
	)
	.messages({ 'object.unknown': 'is no type of the catalogue' });

/** What things cost to buy, at three levels, by type. */
export const prices = Joi.object()
	.pattern(Joi.string().valid(...CATALOGUE.map(({ id }) => id)), Joi.array().items(between(0, 1e6)).length(3))
	.messages({ 'object.unknown': 'is no type of the catalogue' });

export const houseEditSchema = Joi.object({
	schools: schools.required(),
	uses,
	prices,
	version: count(1, 1e9).required()
});
