<?php

declare(strict_types=1);

namespace TallCrow\Edit;

/** An operation that cannot be carried out on the sheet. */
final class EditRefused extends \DomainException
{
    public static function nothingCopied(): self
    {
        return new self('Nothing was copied: choose one line or several, and copy them first.');
    }

    public static function emptyRecipe(): self
    {
        return new self('The recipe holds no lines: choose one line or several, and keep them as a recipe.');
    }

    public static function groupFollowed(string $called): self
    {
        return new self(sprintf('%s is a group, which nothing can follow. Copy it, or make linked copies of the pieces in it.', $called));
    }

    public static function gone(string $id): self
    {
        return new self(sprintf('The line "%s" is not on the sheet any more. Load the sheet again.', $id));
    }

    public static function noSuchLine(string $called): self
    {
        return new self(sprintf('%s does not have that line any more. Load the sheet again.', $called));
    }

    public static function notOffered(string $name): self
    {
        return new self(sprintf('That line offers no "%s" to choose. Load the sheet again.', $name));
    }

    public static function noWords(string $called): self
    {
        return new self(sprintf('%s is no text. Choose a line that sets words.', $called));
    }

    public static function noPicture(string $called): self
    {
        return new self(sprintf('%s lays no picture. Choose a line that does.', $called));
    }

    public static function noRoomAround(string $called): self
    {
        return new self(sprintf('These letters are too tall to stand inside %s. Make their capitals smaller, or stand them outside it.', $called));
    }

    public static function noPlace(string $called): self
    {
        return new self(sprintf('%s has no size of its own. Choose a piece in it.', $called));
    }

    public static function noInk(string $called): self
    {
        return new self(sprintf('%s has no ink yet. Give it words, a picture or a size first.', $called));
    }

    public static function noStroke(): self
    {
        return new self('Nothing was drawn. Draw a line, or press once for a dab.');
    }

    public static function noDrawing(string $called): self
    {
        return new self(sprintf('%s is not drawn by hand. Choose a drawing, or draw on the bare sheet.', $called));
    }

    public static function noGroup(string $called): self
    {
        return new self(sprintf('%s is no group.', $called));
    }

    public static function notHere(string $effect, string $called): self
    {
        return new self(sprintf('The line "%s" can do nothing on %s.', $effect, $called));
    }

    public static function tooMany(string $what, int $most): self
    {
        return new self(sprintf('There would be more than %d %s; that is the most.', $most, $what));
    }

    public static function nameTaken(string $name): self
    {
        return new self(sprintf('Another colour is called "%s" already. Choose another name.', $name));
    }

    public static function noColour(string $name): self
    {
        return new self(sprintf('The job has no colour called "%s" any more.', $name));
    }

    public static function lastGarment(): self
    {
        return new self('A job offers one garment colour at least. Add another before you leave this one out.');
    }
}
