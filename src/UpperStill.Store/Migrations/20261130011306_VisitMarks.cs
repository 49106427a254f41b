using Microsoft.EntityFrameworkCore.Migrations;

#nullable disable

namespace UpperStill.Store.Migrations
{
    /// <inheritdoc />
    public partial class VisitMarks : Migration
    {
        /// <inheritdoc />
        protected override void Up(MigrationBuilder migrationBuilder)
        {
            ArgumentNullException.ThrowIfNull(migrationBuilder);
            // A visit's row is brought up to date where it stands; both stations, where it was moved.
            migrationBuilder.Sql(
                "CREATE TRIGGER Marks_VisitChanged AFTER UPDATE ON Visits BEGIN "
                + "INSERT INTO StationMarks (Station, Mark) VALUES (OLD.Station, 1) ON CONFLICT (Station) DO UPDATE SET Mark = Mark + 1; "
                + "INSERT INTO StationMarks (Station, Mark) VALUES (NEW.Station, 1) ON CONFLICT (Station) DO UPDATE SET Mark = Mark + 1; END;");
        }

        /// <inheritdoc />
        protected override void Down(MigrationBuilder migrationBuilder)
        {
            ArgumentNullException.ThrowIfNull(migrationBuilder);
            migrationBuilder.Sql("DROP TRIGGER Marks_VisitChanged;");
        }
    }
}
