<?php

declare(strict_types=1);

namespace TallCrow\Effect\Inking;

/** With what a part of a piece is filled. */
interface Paint {}
