using Microsoft.EntityFrameworkCore.Migrations;

#nullable disable

namespace UpperStill.Store.Migrations
{
    /// <inheritdoc />
    public partial class Links : Migration
    {
        /// <inheritdoc />
        protected override void Up(MigrationBuilder migrationBuilder)
        {
            migrationBuilder.CreateTable(
                name: "Links",
                columns: table => new
                {
                    Sequence = table.Column<long>(type: "INTEGER", nullable: false),
                    Hash = table.Column<byte[]>(type: "BLOB", nullable: false)
                },
                constraints: table =>
                {
                    table.PrimaryKey("PK_Links", x => x.Sequence);
                });

            migrationBuilder.Sql("CREATE TRIGGER Links_no_update BEFORE UPDATE ON Links BEGIN SELECT RAISE(ABORT, 'the chain of the log is append-only'); END;");
            migrationBuilder.Sql("CREATE TRIGGER Links_no_delete BEFORE DELETE ON Links BEGIN SELECT RAISE(ABORT, 'the chain of the log is append-only'); END;");
        }

        /// <inheritdoc />
        protected override void Down(MigrationBuilder migrationBuilder)
        {
            migrationBuilder.DropTable(
                name: "Links");
        }
    }
}
