<?php

declare(strict_types=1);

namespace TallCrow\Effect;

/** A retouching line after which the picture's height over width may be another. */
interface ChangesAspect extends Retouches {}
