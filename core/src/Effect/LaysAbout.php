<?php

declare(strict_types=1);

namespace TallCrow\Effect;

/** An effect that adds ink or space around a piece, and leaves the piece's own ink unchanged. */
interface LaysAbout extends FollowsEdge {}
