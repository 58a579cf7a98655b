<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

return new class extends Migration {
    public function up(): void
    {
        Schema::create('shops', function (Blueprint $table): void {
            $table->id();
            $table->string('name');
            $table->timestamps();
        });
        Schema::create('print_areas', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('shop_id')->constrained()->cascadeOnDelete();
            $table->string('name');
            $table->unsignedInteger('width');
            $table->unsignedInteger('height');
            $table->float('ppi');
            $table->timestamps();
        });
        Schema::create('assets', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('shop_id')->constrained()->cascadeOnDelete();
            $table->string('kind');
            $table->string('file');
            $table->string('title');
            $table->string('genre')->default('');
            $table->string('type');
            $table->unsignedBigInteger('bytes');
            $table->float('width')->nullable();
            $table->float('height')->nullable();
            $table->string('licence_name');
            $table->text('licence_author');
            $table->string('licence_url')->default('');
            $table->timestamps();
            $table->unique(['shop_id', 'file']);
        });
    }

    public function down(): void
    {
        foreach (['assets', 'print_areas', 'shops'] as $table) {
            Schema::dropIfExists($table);
        }
    }
};
