<?php

declare(strict_types=1);

namespace TallCrow\Effect;

/**
 * One operation on a layer. A class says its kind and parameters, and implements the stage in which it acts:
 * SetsType, BendsOutline or Inks. The Catalogue lists the classes.
 */
interface Effect
{
    /** Its name in a file. */
    public static function kind(): string;

    /** @return list<Parameter> */
    public static function parameters(): array;

    public static function from(Values $values): static;
}
