import Joi from 'joi';

/** What is typed to sign in, to set up a house, and to invite. The fewest letters of a password are the server's. */
export const mail = Joi.string()
	.trim()
	.max(254)
	.email({ tlds: false })
	.messages({ 'string.email': 'is no mail address' });
const name = Joi.string().trim().max(120);
const ROLES = ['owner', 'planner', 'guide'] as const;

const chosenPassword = (leastLetters: number): Joi.StringSchema =>
	Joi.string().min(leastLetters).max(200).required();
/** @param leastLetters of a password that is chosen */
export const newPasswordSchema = (leastLetters: number): Joi.ObjectSchema =>
	Joi.object({ password: chosenPassword(leastLetters) }).unknown();
/** @param leastLetters of a password that is chosen in place of the old one */
export const otherPasswordSchema = (leastLetters: number): Joi.ObjectSchema =>
	Joi.object({
		old: Joi.string().max(200).required(),
		password: chosenPassword(leastLetters)
	});
export const signInSchema = Joi.object({
	mail: mail.required(),
	password: Joi.string().max(200).required()
});
export const setUpSchema = (leastLetters: number): Joi.ObjectSchema =>
	Joi.object({
		house: name.required(),
		name: name.required(),
		mail: mail.required(),
		password: chosenPassword(leastLetters),
		/** as a form sends a box that is ticked */
		takesAlong: Joi.valid('on')
	});
export const invitedSchema = Joi.object({
	name: name.required(),
	mail: mail.required(),
	role: Joi.valid(...ROLES).required()
});
export const accountChangeSchema = Joi.object({ role: Joi.valid(...ROLES), closed: Joi.boolean() }).min(1);
export const tokenSchema = Joi.object({
	name: name.required(),
	role: Joi.valid('planner', 'guide').required()
});
