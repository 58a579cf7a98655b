<?php

declare(strict_types=1);

namespace TallCrow\Effect;

/** An effect that prints some tones and drops others. The defaults of a new one are chosen so that something remains. */
interface SuitsTones extends Effect
{
    /**
     * Default values for a new effect.
     *
     * @param  bool  $isPale  whether words are in pale ink, or a picture will be printed in ink paler than the cloth
     * @return array<string, string> values by parameter
     */
    public static function beginsWith(bool $isPale): array;
}
