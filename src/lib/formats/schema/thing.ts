import Joi from 'joi';
import { LIMITS } from '../limits';
import { isCatalogueId } from '../../core/cloth/catalogue';
import { PARTS } from '../../core/document/parts';
import {
	BAG_NUMBER_KINDS,
	BAG_NUMBER_UNITS,
	BAG_SCALES,
	BATTERY_UNITS,
	CLOTH_FUNCTIONS,
	DEXTERITIES,
	END_WORN,
	FACES,
	FEATURES,
	FIBRES,
	type Fact,
	type Thing
} from '../../core/document/types';
import { WATER_GRADES } from '../../core/document/weather';
import { between, count, fact, id, isoDate, name, oneOf, versioned } from './common';

const share = between(0, 1);
const properties = {
	functions: fact(Joi.array().items(oneOf(CLOTH_FUNCTIONS))),
	covers: fact(Joi.object(Object.fromEntries(PARTS.map((part) => [part, share])))),
	positions: fact(Joi.array().items(count(0, 5)).length(2)),
	localClo: fact(between(0, 6)),
	airPermeability: fact(between(1, 1000)),
	waterGrade: fact(oneOf(WATER_GRADES)),
	fibre: fact(oneOf(FIBRES)),
	girthSteps: fact(count(0, 20)),
	roomSteps: fact(count(0, 20)),
	massG: fact(between(0, 20000)),
	packedL: fact(between(0, 100)),
	size: fact(Joi.string().allow('').max(20)),
	dexterity: fact(oneOf(DEXTERITIES)),
	overBoots: fact(Joi.boolean()),
	lensCategory: fact(count(0, 4)),
	comfortTempC: fact(between(-60, 30)),
	bagScale: fact(oneOf(BAG_SCALES)),
	features: fact(Joi.array().items(oneOf(FEATURES)).unique()),
	face: fact(oneOf(FACES)),
	heightCm: fact(between(0, 120)),
	vapourResistance: fact(between(0, 1000)),
	holdsL: fact(between(0, 150)),
	watts: fact(between(0, 100)),
	energyWh: fact(between(0, 500)),
	wearDays: fact(count(0, 30)),
	endWorn: fact(oneOf(END_WORN)),
	dryForNight: fact(Joi.boolean()),
	availableFrom: fact(isoDate.allow('')),
	bagNumber: fact(
		Joi.object({
			value: between(-80, 100).required(),
			unit: oneOf(BAG_NUMBER_UNITS).required(),
			kind: oneOf(BAG_NUMBER_KINDS).required()
		})
	),
	batteryCharge: fact(
		Joi.object({ value: between(0, 1e6).required(), unit: oneOf(BATTERY_UNITS).required() })
	)
};

export const typeId = Joi.string()
	.required()
	.custom((value: string, helpers) => (isCatalogueId(value) ? value : helpers.error('catalogue.unknown')))
	.messages({ 'catalogue.unknown': 'must be the id of a type in the catalogue' });
/** What is known of a thing beside its type. */
export const thingFacts = Joi.object(properties);
const thingFields = {
	typeId,
	name: name.required(),
	quantity: fact(count(0, 99)).required(),
	inPairs: Joi.boolean().default(false),
	facts: thingFacts.default({})
};

export const thing = Joi.object<Thing>({ id: id.required(), ...thingFields, ...versioned });
/** A thing that is to be added to a kit; its name is that of its type where none is said. */
export interface NewThing {
	/** made up where none is given */
	id?: string;
	typeId: string;
	quantity: Fact<number>;
	name?: string;
	facts?: Thing['facts'];
}

export const newThingSchema = Joi.object({
	typeId,
	quantity: fact(count(0, 99)).required(),
	name,
	facts: thingFacts.default({})
});
export const newThingsSchema = Joi.object({
	things: Joi.array().items(newThingSchema).min(1).max(LIMITS.things).required()
});
export const thingEditSchema = Joi.object({ ...thingFields, version: count(1, 1e9).required() });
