<?php

declare(strict_types=1);

namespace TallCrow\Effect;

/** A line that prints some tones of what it works on and drops others: a new one is to leave something. */
interface SuitsTones extends Effect
{
    /**
     * What a new line begins with.
     *
     * @param  bool  $isPale  whether words are in pale ink, or a picture is to be printed in ink that is paler than the cloth
     * @return array<string, string> by parameter
     */
    public static function beginsWith(bool $isPale): array;
}
