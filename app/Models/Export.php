<?php

declare(strict_types=1);

namespace App\Models;

use App\Series\SeriesBook;
use App\Tenancy\ShopScope;
use Illuminate\Database\Eloquent\Attributes\ScopedBy;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use TallCrow\Artwork\Artwork;

/**
 * @property int $id
 * @property int $shop_id
 * @property int $print_job_id
 * @property ?int $user_id  who made it
 * @property int $revision_id
 * @property ExportState $state
 * @property string $stage
 * @property int $progress
 * @property string $file
 * @property ?array<string, mixed> $figures
 * @property ?string $trouble
 * @property string $why  why it is made though some of its terms do not allow it
 * @property ?array{house: int, place: string, mode: string, keep?: list<string>} $destination  null where it is for no house
 * @property ?array{kind: string, cut?: ?float, fewerColours?: bool, scene?: string, seed?: int, cloth?: string} $form  null for the usual form; of the kind "listing" a picture to list it by
 * @property string $batch  the same for all files of one send; empty for a file alone
 * @property string $sha256  of the finished file
 * @property ?array<string, string> $rulings  what the terms said of each file then
 * @property ?int $series_row_id  of the row that it is of; null for the sheet itself
 * @property string $title  of that row
 * @property ?\Illuminate\Support\Carbon $beat_at  the last sign of life of whoever makes it
 * @property ?SeriesRow $row
 * @property Revision $revision
 * @property PrintJob $job
 * @property Shop $shop
 * @property \Illuminate\Support\Carbon $created_at
 */
#[ScopedBy(ShopScope::class)]
final class Export extends Model
{
    public const LISTING = 'listing';

    protected $fillable = ['shop_id', 'user_id', 'revision_id', 'state', 'stage', 'progress', 'file', 'figures', 'trouble', 'beat_at', 'why', 'rulings', 'destination', 'batch', 'sha256', 'form', 'series_row_id', 'title'];

    protected $attributes = ['title' => ''];

    protected $casts = ['state' => ExportState::class, 'figures' => 'array', 'beat_at' => 'datetime', 'rulings' => 'array', 'destination' => 'array', 'form' => 'array'];

    /** @return BelongsTo<Revision, $this> */
    public function revision(): BelongsTo
    {
        return $this->belongsTo(Revision::class);
    }

    /** @return BelongsTo<PrintJob, $this> */
    public function job(): BelongsTo
    {
        return $this->belongsTo(PrintJob::class, 'print_job_id');
    }

    /** @return BelongsTo<SeriesRow, $this> */
    public function row(): BelongsTo
    {
        return $this->belongsTo(SeriesRow::class, 'series_row_id');
    }

    /** The sheet to print: the requested revision, or a row of a series made from it. */
    public function sheet(): Artwork
    {
        return $this->row === null ? $this->revision->read() : SeriesBook::artwork($this->row, $this->revision);
    }

    /** @return BelongsTo<Shop, $this> */
    public function shop(): BelongsTo
    {
        return $this->belongsTo(Shop::class);
    }

    /** A temporary folder, deleted when the export ends. */
    public function scratch(): string
    {
        return $this->shop->folder('scratch').'/'.$this->id;
    }

    /** A temporary folder shared by the files of one batch, deleted when all of them have ended. */
    public function shared(): string
    {
        return $this->shop->folder('scratch').'/send-'.$this->batch;
    }

    public function isListing(): bool
    {
        return ($this->form['kind'] ?? '') === self::LISTING;
    }

    /** Path of the finished file. */
    public function path(): string
    {
        return $this->shop->folder('exports').'/'.$this->id.'.png';
    }
}
