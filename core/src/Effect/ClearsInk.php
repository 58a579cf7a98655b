<?php

declare(strict_types=1);

namespace TallCrow\Effect;

/** A retouching effect that removes parts of the picture, which a restoring brush can bring back. */
interface ClearsInk extends Retouches {}
