<?php

declare(strict_types=1);

namespace TallCrow\Effect;

/** A look that ends every fade: what it leaves is ink or none. A layer's opacity goes in before it. */
interface LeavesNoFade extends Looks {}
