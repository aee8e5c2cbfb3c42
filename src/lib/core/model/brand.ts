declare const brand: unique symbol;
/** A primitive that may not be mixed up with another of the same shape; it costs nothing at run time. */
export type Brand<T, Name extends string> = T & { readonly [brand]: Name };
