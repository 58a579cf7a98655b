<?php

declare(strict_types=1);

namespace TallCrow\Effect;

/** A line that lays ink, or room, about a piece and leaves the piece's own where and as it is. */
interface LaysAbout extends Effect {}
