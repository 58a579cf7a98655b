<?php

declare(strict_types=1);

namespace TallCrow\Type;

use FFI;
use FFI\CData;
use TallCrow\Geometry\Path;

/** An opened font file, at one place on the axes of a variable font. Measurements are in ems; y points down, with the baseline at 0. */
final class Font
{
    private const FACE_IS_SCALABLE = 1;

    /** FreeType's FT_FACE_FLAG_SFNT: the font has the tables that HarfBuzz reads. */
    private const FACE_IS_SFNT = 8;

    /** Number of other places on its axes that are kept open. */
    private const MOST_VARIED = 24;

    /** The tag "wght" of the OpenType design-variation axis of weight. */
    private const WEIGHT = 0x77676874;

    private const FLAT = ['H', 'I', 'E', 'X', 'ה', 'א', '1', 'n'];

    /** Cap height in ems for a font without any flat capital (common practice). */
    private const USUAL_CAPITAL = 0.7;

    /** HarfBuzz's hb_direction_t. */
    private const LEFT_TO_RIGHT = 4;

    private const RIGHT_TO_LEFT = 5;

    public readonly string $family;

    public readonly string $style;

    public readonly int $unitsPerEm;

    private CData $library;

    private CData $face;

    private CData $hbFace;

    private CData $hbFont;

    private bool $open = false;

    /** @var array<int, Path> */
    private array $outlines = [];

    /** @var array<string, self> the same font at other places on its axes */
    private array $varied = [];

    /**
     * @param  CData  $buffer  the file's bytes, which FreeType reads from as long as the font is open
     * @param  array<string, float>  $at  places on its axes by tag, if they are not the usual ones
     */
    private function __construct(private readonly CData $buffer, private readonly int $length, array $at)
    {
        $freetype = FreeType::freetype();
        $library = FreeType::pointer($freetype, 'void *');
        FreeType::ft('FT_Init_FreeType', FFI::addr($library));
        $this->library = $library;

        $face = FreeType::pointer($freetype, 'Face *');
        $error = FreeType::ft('FT_New_Memory_Face', $library, $buffer, $length, 0, FFI::addr($face));
        if ($error !== 0) {
            FreeType::ft('FT_Done_FreeType', $library);
            throw FontRefused::unreadable(self::reason($error));
        }
        $this->face = $face;
        $lacks = match (0) {
            $face->face_flags & self::FACE_IS_SCALABLE => FontRefused::noOutlines(),
            $face->face_flags & self::FACE_IS_SFNT => FontRefused::notOpenType(),
            default => null,
        };
        if ($lacks !== null) {
            FreeType::ft('FT_Done_Face', $face);
            FreeType::ft('FT_Done_FreeType', $library);
            throw $lacks;
        }
        $this->unitsPerEm = max(1, (int) $face->units_per_em);
        $this->family = self::name($face->family_name, 'Unnamed');
        $this->style = self::name($face->style_name, 'Regular');

        $this->hbFace = self::data(FreeType::hb('hb_ft_face_create_referenced', FreeType::harfbuzz()->cast('void *', $face)));
        $this->hbFont = self::data(FreeType::hb('hb_font_create', $this->hbFace));
        FreeType::hb('hb_ot_font_set_funcs', $this->hbFont);
        FreeType::hb('hb_font_set_scale', $this->hbFont, $this->unitsPerEm, $this->unitsPerEm);
        $this->open = true;
        if ($at !== [] && ($error = FontAxes::set($face, $this->hbFace, $this->hbFont, $at)) !== 0) {
            $this->close();
            throw FontRefused::unreadable(self::reason($error));
        }
    }

    public function __destruct()
    {
        $this->close();
    }

    private function close(): void
    {
        if ($this->open) {
            $this->open = false;
            FreeType::hb('hb_font_destroy', $this->hbFont);
            FreeType::hb('hb_face_destroy', $this->hbFace);
            FreeType::ft('FT_Done_Face', $this->face);
            FreeType::ft('FT_Done_FreeType', $this->library);
        }
    }

    /** @throws FontRefused */
    public static function fromBytes(string $bytes): self
    {
        $buffer = FreeType::pointer(FreeType::freetype(), 'char['.max(1, strlen($bytes)).']');
        FFI::memcpy($buffer, $bytes, strlen($bytes));

        return new self($buffer, strlen($bytes), []);
    }

    /**
     * The same font at other places on its axes; tags that it does not have count for nothing.
     *
     * @param  array<string, float>  $at  by tag, such as "wght"
     *
     * @throws FontRefused
     */
    public function varied(array $at): self
    {
        if ($at === []) {
            return $this;
        }
        $at = array_intersect_key($at, array_column($this->axes(), 'tag', 'tag'));
        if ($at === []) {
            return $this;
        }
        ksort($at);
        $key = serialize($at);
        if (! isset($this->varied[$key]) && count($this->varied) >= self::MOST_VARIED) {
            array_shift($this->varied);
        }

        return $this->varied[$key] ??= new self($this->buffer, $this->length, $at);
    }

    /** @return list<Axis> of a variable font; none of another */
    public function axes(): array
    {
        return FontAxes::of($this->hbFace);
    }

    /**
     * Shapes one line of text by HarfBuzz: glyphs in visual order.
     *
     * @param  list<string>  $features  in HarfBuzz's notation, such as "ss01" or "-liga"
     * @return list<Glyph>
     */
    public function shape(string $line, array $features = []): array
    {
        return array_merge(...array_map(fn (Run $run): array => $this->shapeRun($line, $run, $features), Scripts::split($line, Bidi::runs($line))));
    }

    /**
     * @param  list<string>  $features
     * @return list<Glyph>
     */
    private function shapeRun(string $line, Run $run, array $features): array
    {
        $harfbuzz = FreeType::harfbuzz();
        $buffer = self::data(FreeType::hb('hb_buffer_create'));
        FreeType::hb('hb_buffer_add_utf8', $buffer, $line, strlen($line), $run->start, $run->length);
        FreeType::hb('hb_buffer_set_direction', $buffer, $run->rightToLeft ? self::RIGHT_TO_LEFT : self::LEFT_TO_RIGHT);
        FreeType::hb('hb_buffer_guess_segment_properties', $buffer);
        $wanted = $features === [] ? null : FreeType::pointer($harfbuzz, 'Feature['.count($features).']');
        foreach ($features as $i => $feature) {
            FreeType::hb('hb_feature_from_string', $feature, strlen($feature), $wanted === null ? null : FFI::addr($wanted[$i]));
        }
        FreeType::hb('hb_shape', $this->hbFont, $buffer, $wanted, count($features));
        $length = FreeType::pointer($harfbuzz, 'unsigned int');
        $infos = self::data(FreeType::hb('hb_buffer_get_glyph_infos', $buffer, FFI::addr($length)));
        $places = self::data(FreeType::hb('hb_buffer_get_glyph_positions', $buffer, FFI::addr($length)));
        $glyphs = [];
        $count = self::count($length);
        for ($i = 0; $i < $count; $i++) {
            [$info, $place] = [self::data($infos[$i]), self::data($places[$i])];
            $glyphs[] = new Glyph(
                (int) $info->codepoint,
                (int) $info->cluster,
                $place->x_advance / $this->unitsPerEm,
                $place->x_offset / $this->unitsPerEm,
                -$place->y_offset / $this->unitsPerEm,
            );
        }
        FreeType::hb('hb_buffer_destroy', $buffer);

        return $glyphs;
    }

    public function has(string $character): bool
    {
        return FreeType::ft('FT_Get_Char_Index', $this->face, mb_ord($character, 'UTF-8')) !== 0;
    }

    /**
     * The font's OpenType features, such as "ss01": substitution features before positioning features.
     *
     * @return list<string>
     */
    public function features(): array
    {
        return array_values(array_unique([...$this->substitutions(), ...FontFeatures::tags($this->hbFace, 'GPOS')]));
    }

    /** @return list<string> the OpenType features that draw letters by other glyphs */
    public function substitutions(): array
    {
        return FontFeatures::tags($this->hbFace, 'GSUB');
    }

    /** The name that the font itself gives to a feature, such as "Swashes at the foot" for ss01; null if it gives none. */
    public function named(string $tag): ?string
    {
        return FontFeatures::name($this->hbFace, $tag);
    }

    /** @return list<string> the Unicode characters that the font covers, without control characters */
    public function characters(): array
    {
        return FontCharacters::of($this->hbFace);
    }

    /** The outline of a single character, of a font that covers it. */
    public function character(string $character): Path
    {
        $glyph = FreeType::ft('FT_Get_Char_Index', $this->face, mb_ord($character, 'UTF-8'));

        return $this->outline(is_int($glyph) ? $glyph : 0);
    }

    /** Whether its letters have colours of their own (tables COLR, SVG, sbix or CBDT). Only their plain outlines are read here. */
    public function hasColours(): bool
    {
        return array_filter(['hb_ot_color_has_layers', 'hb_ot_color_has_svg', 'hb_ot_color_has_png'], fn (string $has): bool => FreeType::hb($has, $this->hbFace) !== 0) !== [];
    }

    public function weight(): Weight
    {
        $weight = FreeType::hb('hb_style_get_value', $this->hbFont, self::WEIGHT);

        return new Weight(is_float($weight) ? (int) round($weight) : 0);
    }

    /** The cap height in ems: of the letter H, or another flat capital. */
    public function capHeight(): float
    {
        foreach (self::FLAT as $letter) {
            $glyph = $this->shape($letter)[0] ?? null;
            if ($glyph !== null && $glyph->id !== 0 && ! $this->outline($glyph->id)->isEmpty()) {
                return max(0.01, -$this->outline($glyph->id)->bounds()->top);
            }
        }

        return self::USUAL_CAPITAL;
    }

    /** @throws FontRefused */
    public function outline(int $glyph): Path
    {
        return $this->outlines[$glyph] ??= $this->read($glyph);
    }

    private function read(int $glyph): Path
    {
        $error = FreeType::ft('FT_Load_Glyph', $this->face, $glyph, FreeType::NO_SCALE_NO_HINTING);
        if ($error !== 0) {
            throw FontRefused::glyph($glyph, self::reason($error));
        }
        $outline = $this->face->glyph->outline;
        $scale = 1 / $this->unitsPerEm;
        $contours = [];
        $first = 0;
        for ($c = 0; $c < $outline->n_contours; $c++) {
            $last = $outline->contours[$c];
            $points = [];
            for ($i = $first; $i <= $last; $i++) {
                $points[] = [$outline->points[$i]->x * $scale, -$outline->points[$i]->y * $scale, ord($outline->tags[$i]) & 3];
            }
            $contours[] = $points;
            $first = $last + 1;
        }

        return GlyphContours::toPath($contours);
    }

    private static function reason(mixed $error): string
    {
        assert(is_int($error));

        // Messages from FreeType's fterrdef.h, which Debian's build does not include.
        return match ($error) {
            0x02 => 'unknown file format',
            0x03 => 'broken file',
            0x08 => 'invalid table',
            0x14 => 'invalid outline',
            0x40 => 'out of memory',
            0x51, 0x52, 0x53, 0x54, 0x55 => 'the file ends too early',
            default => sprintf('error 0x%02X', $error),
        };
    }

    private static function name(mixed $text, string $otherwise): string
    {
        return $text instanceof CData && ! FFI::isNull($text) ? FFI::string($text) : $otherwise;
    }

    private static function count(CData $number): int
    {
        return (int) $number->cdata;
    }

    private static function data(mixed $made): CData
    {
        assert($made instanceof CData);

        return $made;
    }
}
