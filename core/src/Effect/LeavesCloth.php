<?php

declare(strict_types=1);

namespace TallCrow\Effect;

/** Leaves cloth visible within the piece's outline. Knockouts by the piece's shape ignore it. */
interface LeavesCloth {}
