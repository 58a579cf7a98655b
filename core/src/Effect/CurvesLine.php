<?php

declare(strict_types=1);

namespace TallCrow\Effect;

/** Stands the words on a curve: a new curve takes its place. */
interface CurvesLine extends PlacesLetters {}
