<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

return new class extends Migration {
    public function up(): void
    {
        Schema::table('ideas', function (Blueprint $table): void {
            $table->string('link', 500)->default('');
            $table->foreignId('asset_id')->nullable()->constrained('assets')->nullOnDelete();
        });
    }

    public function down(): void
    {
        Schema::table('ideas', function (Blueprint $table): void {
            $table->dropConstrainedForeignId('asset_id');
            $table->dropColumn('link');
        });
    }
};
