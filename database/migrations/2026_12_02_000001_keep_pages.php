<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Support\Facades\DB;

/** Pages of ours as a crawl has them, the links between them, and what their visitors bought. */
return new class extends Migration {
    private const PARTITIONS = 16;

    private const TABLES = [
        'pages' => <<<'SQL'
            url text COLLATE "C" NOT NULL,
            title text,
            h1 text,
            words bigint,
            status int,
            is_indexable boolean,
            published date,
            updated date,
            inlinks bigint,
            referring_domains bigint,
            day date NOT NULL
            SQL,
        'page_links' => <<<'SQL'
            source_url text COLLATE "C" NOT NULL,
            target_url text COLLATE "C" NOT NULL,
            anchor text,
            day date NOT NULL
            SQL,
    ];

    public function up(): void
    {
        foreach (self::TABLES as $table => $columns) {
            DB::statement(
                "CREATE TABLE {$table} (study_id bigint NOT NULL, import_id bigint NOT NULL, {$columns}) PARTITION BY HASH (study_id)",
            );
            for ($part = 0; $part < self::PARTITIONS; ++$part) {
                $share = 'WITH (MODULUS '.self::PARTITIONS.", REMAINDER {$part})";
                DB::statement("CREATE TABLE {$table}_p{$part} PARTITION OF {$table} FOR VALUES {$share}");
            }
            DB::statement(
                "CREATE VIEW live_{$table} AS SELECT t.* FROM {$table} t "
                    .'JOIN imports i ON i.id = t.import_id AND i.superseded_by IS NULL',
            );
        }
        DB::statement('CREATE INDEX pages_url ON pages (study_id, url)');
        DB::statement('CREATE INDEX page_links_target ON page_links (study_id, target_url)');
        DB::statement('ALTER TABLE performance ADD conversions bigint, ADD revenue float8');
        $this->viewPerformance();
    }

    /** Its columns were written out when it was made. */
    private function viewPerformance(): void
    {
        DB::statement('DROP VIEW live_performance');
        DB::statement(
            'CREATE VIEW live_performance AS SELECT t.* FROM performance t '
                .'JOIN imports i ON i.id = t.import_id AND i.superseded_by IS NULL',
        );
    }

    public function down(): void
    {
        DB::statement('DROP VIEW live_performance');
        DB::statement('ALTER TABLE performance DROP conversions, DROP revenue');
        DB::statement(
            'CREATE VIEW live_performance AS SELECT t.* FROM performance t '
                .'JOIN imports i ON i.id = t.import_id AND i.superseded_by IS NULL',
        );
        foreach (array_keys(self::TABLES) as $table) {
            DB::statement("DROP VIEW live_{$table}");
            DB::statement("DROP TABLE {$table}");
        }
    }
};
