import * as z from 'zod/mini';
import { isLocalTime, isZone } from './due';
import { LIMITS, type LimitName } from './limits';

// What the schemas of all records are put together from.

/** A number within one of the limits. */
export const numberOf = (limit: LimitName) => z.number().check(z.gte(LIMITS[limit].low), z.lte(LIMITS[limit].high));

/** A whole number within one of the limits. */
export const wholeOf = (limit: LimitName) => z.int().check(z.gte(LIMITS[limit].low), z.lte(LIMITS[limit].high));

/** What a record or a part of one is referred to by. */
export const id = z.string().check(z.minLength(1), z.maxLength(60));

/** What people call it. */
export const name = z.string().check(z.minLength(1), z.maxLength(120));

/** A local date and time, as "2026-10-17T18:00". */
export const localTime = z.string().check(z.refine(isLocalTime));

/** When something is wanted: a local time, and the zone whose clocks tell it. */
export const due = z.object({ local: localTime, zone: z.string().check(z.maxLength(60), z.refine(isZone)) });
