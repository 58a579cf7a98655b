<?php

declare(strict_types=1);

namespace App\Calendar;

/** A calendar that cannot be taken in; the message says why and what to do. */
final class CalendarRefused extends \DomainException {}
