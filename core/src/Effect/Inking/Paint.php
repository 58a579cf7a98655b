<?php

declare(strict_types=1);

namespace TallCrow\Effect\Inking;

/** What a part of a piece is filled with. */
interface Paint {}
