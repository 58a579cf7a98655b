<?php

declare(strict_types=1);

namespace TallCrow\Effect;

/** Leaves cloth within the piece's own outline; what knocks out by the piece's shape does not mind. */
interface LeavesCloth {}
