using System;
using Microsoft.EntityFrameworkCore.Migrations;

#nullable disable

namespace UpperStill.Store.Migrations
{
    /// <inheritdoc />
    public partial class KitChecks : Migration
    {
        /// <inheritdoc />
        protected override void Up(MigrationBuilder migrationBuilder)
        {
            migrationBuilder.AddColumn<int>(
                name: "Version",
                table: "Waters",
                type: "INTEGER",
                nullable: false,
                defaultValue: 0);

            migrationBuilder.AddColumn<int>(
                name: "Version",
                table: "Stations",
                type: "INTEGER",
                nullable: false,
                defaultValue: 0);

            migrationBuilder.AddColumn<int>(
                name: "Version",
                table: "Laboratories",
                type: "INTEGER",
                nullable: false,
                defaultValue: 0);

            migrationBuilder.AddColumn<int>(
                name: "Version",
                table: "Kit",
                type: "INTEGER",
                nullable: false,
                defaultValue: 0);

            migrationBuilder.CreateTable(
                name: "KitChecks",
                columns: table => new
                {
                    Sequence = table.Column<long>(type: "INTEGER", nullable: false)
                        .Annotation("Sqlite:Autoincrement", true),
                    Item = table.Column<string>(type: "TEXT", nullable: false),
                    Check = table.Column<Guid>(type: "TEXT", nullable: false),
                    Definition = table.Column<string>(type: "TEXT", nullable: false)
                },
                constraints: table =>
                {
                    table.PrimaryKey("PK_KitChecks", x => x.Sequence);
                });

            migrationBuilder.CreateIndex(
                name: "IX_KitChecks_Item",
                table: "KitChecks",
                column: "Item");

            migrationBuilder.Sql("""
                INSERT INTO KitChecks (Item, "Check", Definition)
                SELECT k.Code, upper(json_extract(c.value, '$.id')), c.value FROM Kit k, json_each(k.Definition, '$.checks') c ORDER BY k.Code, c.key;
                UPDATE Kit SET Definition = json_remove(Definition, '$.checks');
                """);
            migrationBuilder.Sql("CREATE TRIGGER KitChecks_no_update BEFORE UPDATE ON KitChecks BEGIN SELECT RAISE(ABORT, 'checks of the kit are only added'); END;");
            migrationBuilder.Sql("CREATE TRIGGER KitChecks_no_delete BEFORE DELETE ON KitChecks BEGIN SELECT RAISE(ABORT, 'checks of the kit are only added'); END;");
        }

        /// <inheritdoc />
        protected override void Down(MigrationBuilder migrationBuilder)
        {
            // The checks go back into their items, as they stand now.
            migrationBuilder.Sql("""
                UPDATE Kit SET Definition = json_set(Definition, '$.checks', (SELECT json_group_array(json(Definition)) FROM
                    (SELECT c.Definition FROM KitChecks c WHERE c.Item = Kit.Code AND c.Sequence = (SELECT max(n.Sequence) FROM KitChecks n WHERE n.Item = c.Item AND n."Check" = c."Check")
                     ORDER BY (SELECT min(n.Sequence) FROM KitChecks n WHERE n.Item = c.Item AND n."Check" = c."Check"))));
                """);
            migrationBuilder.DropTable(
                name: "KitChecks");

            migrationBuilder.DropColumn(
                name: "Version",
                table: "Waters");

            migrationBuilder.DropColumn(
                name: "Version",
                table: "Stations");

            migrationBuilder.DropColumn(
                name: "Version",
                table: "Laboratories");

            migrationBuilder.DropColumn(
                name: "Version",
                table: "Kit");
        }
    }
}
