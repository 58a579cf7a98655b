<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

return new class extends Migration {
    public function up(): void
    {
        // Found when they are first asked for.
        Schema::table('revisions', fn (Blueprint $table) => $table->text('facts')->nullable());
    }

    public function down(): void
    {
        Schema::table('revisions', fn (Blueprint $table) => $table->dropColumn('facts'));
    }
};
