<?php

declare(strict_types=1);

namespace TallCrow\Effect;

/** A look after which there is no half-transparent ink. The layer's opacity is applied before it. */
interface LeavesNoFade extends Looks {}
