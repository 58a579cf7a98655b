<?php

declare(strict_types=1);

namespace PrintHouse;

final class Unreadable extends \RuntimeException {}
