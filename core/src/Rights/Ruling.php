<?php

declare(strict_types=1);

namespace TallCrow\Rights;

/** What the stated terms say about a use. There is deliberately no "safe": this is not legal advice. */
enum Ruling: string
{
    case Allowed = 'allowed';
    case Duties = 'allowed-with-duties';
    case Look = 'look';
    case NotAllowed = 'not-allowed';

    public function worse(self $other): self
    {
        $order = self::cases();

        return array_search($other, $order, true) > array_search($this, $order, true) ? $other : $this;
    }

    public function says(): string
    {
        return match ($this) {
            self::Allowed => 'allowed by the terms as stated',
            self::Duties => 'allowed, with duties',
            self::Look => 'look at this',
            self::NotAllowed => 'not allowed by the terms as stated',
        };
    }
}
