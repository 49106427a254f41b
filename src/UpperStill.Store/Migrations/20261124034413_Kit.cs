using System;
using Microsoft.EntityFrameworkCore.Migrations;

#nullable disable

namespace UpperStill.Store.Migrations
{
    /// <inheritdoc />
    public partial class Kit : Migration
    {
        /// <inheritdoc />
        protected override void Up(MigrationBuilder migrationBuilder)
        {
            migrationBuilder.CreateTable(
                name: "Kit",
                columns: table => new
                {
                    Code = table.Column<string>(type: "TEXT", nullable: false),
                    Kind = table.Column<string>(type: "TEXT", nullable: false),
                    Definition = table.Column<string>(type: "TEXT", nullable: false)
                },
                constraints: table =>
                {
                    table.PrimaryKey("PK_Kit", x => x.Code);
                });

            migrationBuilder.CreateTable(
                name: "Photos",
                columns: table => new
                {
                    Id = table.Column<Guid>(type: "TEXT", nullable: false),
                    Water = table.Column<string>(type: "TEXT", nullable: false),
                    ContentType = table.Column<string>(type: "TEXT", nullable: false),
                    Bytes = table.Column<byte[]>(type: "BLOB", nullable: false),
                    By = table.Column<string>(type: "TEXT", nullable: false),
                    At = table.Column<string>(type: "TEXT", nullable: false)
                },
                constraints: table =>
                {
                    table.PrimaryKey("PK_Photos", x => x.Id);
                });

            migrationBuilder.CreateTable(
                name: "Proposals",
                columns: table => new
                {
                    Id = table.Column<Guid>(type: "TEXT", nullable: false),
                    Water = table.Column<string>(type: "TEXT", nullable: false),
                    Definition = table.Column<string>(type: "TEXT", nullable: false),
                    Why = table.Column<string>(type: "TEXT", nullable: false),
                    By = table.Column<string>(type: "TEXT", nullable: false),
                    At = table.Column<string>(type: "TEXT", nullable: false),
                    Outcome = table.Column<string>(type: "TEXT", nullable: true),
                    DecidedBy = table.Column<string>(type: "TEXT", nullable: true)
                },
                constraints: table =>
                {
                    table.PrimaryKey("PK_Proposals", x => x.Id);
                });

            migrationBuilder.CreateIndex(
                name: "IX_Proposals_Water",
                table: "Proposals",
                column: "Water");

            // Until now only lines were known, with the day of their last check.
            migrationBuilder.Sql("""
                INSERT INTO Kit (Code, Kind, Definition)
                SELECT Code, 'Line', json_object(
                    'code', Code, 'name', json_extract(Definition, '$.name'), 'kind', 'line', 'condition', 'in-use',
                    'marks', json_object('unit', json_extract(Definition, '$.unit'), 'every', json_extract(Definition, '$.markEvery'), 'usable', json_extract(Definition, '$.usable')),
                    'checks', CASE WHEN json_extract(Definition, '$.checkedOn') IS NULL THEN json('[]') ELSE json_array(json_object(
                        'id', lower(hex(randomblob(4)) || '-' || hex(randomblob(2)) || '-4' || substr(hex(randomblob(2)), 2) || '-8' || substr(hex(randomblob(2)), 2) || '-' || hex(randomblob(6))),
                        'kind', 'taped', 'day', json_extract(Definition, '$.checkedOn'), 'by', '', 'marks', json('[]'))) END)
                FROM Lines;
                """);

            // Devices fetch what is set up anew, since a line is written otherwise now.
            migrationBuilder.Sql("INSERT INTO Changes (At, By, Subject, Key) SELECT strftime('%Y-%m-%dT%H:%M:%S.0000000+00:00', 'now'), 'Upper Still', 'kit', '*' WHERE EXISTS (SELECT 1 FROM Lines);");
            migrationBuilder.DropTable(
                name: "Lines");
        }

        /// <inheritdoc />
        protected override void Down(MigrationBuilder migrationBuilder)
        {
            migrationBuilder.DropTable(
                name: "Kit");

            migrationBuilder.DropTable(
                name: "Photos");

            migrationBuilder.DropTable(
                name: "Proposals");

            migrationBuilder.CreateTable(
                name: "Lines",
                columns: table => new
                {
                    Code = table.Column<string>(type: "TEXT", nullable: false),
                    Definition = table.Column<string>(type: "TEXT", nullable: false)
                },
                constraints: table =>
                {
                    table.PrimaryKey("PK_Lines", x => x.Code);
                });
        }
    }
}
