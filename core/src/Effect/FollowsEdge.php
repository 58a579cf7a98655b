<?php

declare(strict_types=1);

namespace TallCrow\Effect;

/** An effect whose ink lies along the outline, inside or outside: a mask may cut it, or it may go around what the mask leaves. */
interface FollowsEdge extends Effect {}
