<?php

declare(strict_types=1);

namespace TallCrow\Effect;

/** A retouching line that takes parts of the picture away; a restoring brush brings them back. */
interface ClearsInk extends Retouches {}
