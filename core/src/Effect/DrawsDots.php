<?php

declare(strict_types=1);

namespace TallCrow\Effect;

/** A look whose dots need finer pixels than the tone that they are drawn from. */
interface DrawsDots {}
