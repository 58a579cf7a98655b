<?php

declare(strict_types=1);

namespace App\Http\Answers;

use TallCrow\Effect\ChangesAspect;
use TallCrow\Effect\ClearsInk;
use TallCrow\Effect\Effect;
use TallCrow\Effect\FollowsEdge;
use TallCrow\Effect\Stage;

/** A kind of effect, with its properties. */
final readonly class EffectKind extends Answer
{
    /** @param  list<Parameter>  $parameters */
    public function __construct(
        public string $kind,
        public Stage $stage,
        public bool $forAny,
        public bool $forRasters,
        public bool $changesAspect,
        public bool $clearsInk,
        public bool $followsEdge,
        public array $parameters,
    ) {}

    /** @param  class-string<Effect>  $class */
    public static function of(string $class): self
    {
        $stage = Stage::of($class);

        return new self(
            $class::kind(), $stage, $stage->isForAny(), $stage->isForRasters(), is_a($class, ChangesAspect::class, true), is_a($class, ClearsInk::class, true), is_a($class, FollowsEdge::class, true),
            array_map(Parameter::of(...), $class::parameters()),
        );
    }
}
