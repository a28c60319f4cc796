import Joi from 'joi';
import { LIMITS } from '../limits';
import { type Document, DOCUMENT_FORMAT, DOCUMENT_VERSION } from '../../core/document/types';
import { client } from './client';
import { schools, trip, uses } from './trip';

/** The document, as published. */
export const documentSchema = Joi.object<Document & { packing?: object }>({
	format: Joi.string().valid(DOCUMENT_FORMAT).required(),
	formatVersion: Joi.number().valid(DOCUMENT_VERSION).required(),
	trip: trip.required(),
	clients: Joi.array().items(client).max(LIMITS.clients).unique('id').required(),
	house: schools,
	uses,
	// What was written beside a document that was saved as a file: taken along, and left out where only plans are made.
	packing: Joi.object().unknown().strip()
});
