<?php

declare(strict_types=1);

use TallCrow\Type\Font;
use TallCrow\Type\FontRefused;

/** Adobe Type 1 Font Format, chapter 7: how the private part of such a font and its outlines are written. */
function type1_encrypted(string $plain, int $key): string
{
    $out = '';
    foreach (str_split($plain) as $byte) {
        $cipher = ord($byte) ^ ($key >> 8);
        $out .= chr($cipher);
        $key = (($cipher + $key) * 52845 + 22719) & 0xFFFF;
    }

    return $out;
}

/** A whole font of one blank letter in that format: closepath (9), hsbw (13), endchar (14). */
function type1_font(): string
{
    $charstring = type1_encrypted("\0\0\0\0\x8b\xf8\x88\x0d\x0e", 4330);
    $put = fn (string $name): string => sprintf("/%s %d RD %s ND\n", $name, strlen($charstring), $charstring);
    $private = "dup /Private 8 dict dup begin /RD {string currentfile exch readstring pop} def /ND {def} def /lenIV 4 def /password 5839 def /BlueValues [] def\n"
        ."/Subrs 0 array def 2 index /CharStrings 2 dict dup begin\n".$put('.notdef').$put('A')."end end readonly put noaccess put dup /FontName get exch definefont pop mark currentfile closefile\n";

    return "%!PS-AdobeFont-1.0: Tideline 1\n11 dict begin /FontInfo 1 dict dup begin /FamilyName (Tideline) def end def /FontName /Tideline def /PaintType 0 def /FontType 1 def\n"
        ."/FontMatrix [0.001 0 0 0.001 0 0] def /Encoding 256 array 0 1 255 {1 index exch /.notdef put} for dup 65 /A put def /FontBBox {0 0 500 700} def currentdict end\ncurrentfile eexec\n"
        .type1_encrypted("\0\0\0\0".$private, 55665)."\n".str_repeat(str_repeat('0', 64)."\n", 8)."cleartomark\n";
}

it('says of a font in an older format what to bring instead', function (): void {
    // FreeType itself takes it for a font: else it would be said that it does not.
    expect(fn () => Font::fromBytes(type1_font()))->toThrow(FontRefused::class, 'older format');
});
