<?php

declare(strict_types=1);

namespace App\Calendar;

/** A calendar file that cannot be imported; the message says why and what to do. */
final class CalendarRefused extends \DomainException {}
