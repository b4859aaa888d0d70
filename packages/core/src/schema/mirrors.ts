import type { z } from 'zod'

type Plain = string | number | boolean | bigint | symbol | null | undefined

/** The same type with everything in it readonly and without its brands: a schema and its core type are compared by what they hold. */
export type Held<T> = T extends z.core.$brand<infer _> & infer Base
  ? Base extends Plain
    ? Unbranded<T>
    : never
  : T extends Plain
    ? T
    : T extends readonly unknown[]
      ? { readonly [K in keyof T]: Held<T[K]> }
      : T extends object
        ? { readonly [K in keyof T]: Held<T[K]> }
        : T
type Unbranded<T> = T extends string ? string : T extends number ? number : T

/** True where two types are each assignable to the other, and each key of one is a key of the other. */
export type Same<A, B> = (<T>() => T extends Held<A> ? 1 : 2) extends <T>() => T extends Held<B> ? 1 : 2 ? true : false

/**
 * A schema that mirrors a type of the core, both ways: a field that one has and the other lacks does not compile.
 *
 * @example export const partPlan = mirrors<PartPlan>()(z.strictObject({ … }))
 */
export const mirrors =
  <Core>() =>
  <S extends z.ZodType>(schema: S & (Same<z.infer<S>, Core> extends true ? unknown : { readonly differs: Core })): S =>
    schema
