<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Support\Facades\DB;

/** Who links to which page, as imports tell it. */
return new class extends Migration {
    private const PARTITIONS = 16;

    public function up(): void
    {
        DB::statement(<<<'SQL'
            CREATE TABLE links (
                study_id bigint NOT NULL,
                import_id bigint NOT NULL,
                domain text COLLATE "C" NOT NULL,
                target_url text COLLATE "C" NOT NULL,
                authority float8,
                anchor text,
                day date NOT NULL
            ) PARTITION BY HASH (study_id)
            SQL);
        for ($part = 0; $part < self::PARTITIONS; ++$part) {
            $share = 'WITH (MODULUS '.self::PARTITIONS.", REMAINDER {$part})";
            DB::statement("CREATE TABLE links_p{$part} PARTITION OF links FOR VALUES {$share}");
        }
        DB::statement('CREATE INDEX links_target ON links (study_id, target_url)');
        DB::statement('CREATE INDEX links_domain ON links (study_id, domain)');
        DB::statement(
            'CREATE VIEW live_links AS SELECT t.* FROM links t JOIN imports i ON i.id = t.import_id AND i.superseded_by IS NULL',
        );
    }

    public function down(): void
    {
        DB::statement('DROP VIEW live_links');
        DB::statement('DROP TABLE links');
    }
};
