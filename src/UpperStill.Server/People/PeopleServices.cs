using Microsoft.AspNetCore.DataProtection;
using Microsoft.AspNetCore.Identity;
using UpperStill.Server.Hosting;
using UpperStill.Store;
using UpperStill.Store.People;

namespace UpperStill.Server.People;

/// <summary>Sign-in: accounts in the group's own database, a cookie on the device.</summary>
internal static class PeopleServices
{
    private static readonly TimeSpan FieldSeason = TimeSpan.FromDays(60);
    private static readonly TimeSpan LinkHolds = TimeSpan.FromDays(7);
    private static readonly TimeSpan LockedFor = TimeSpan.FromMinutes(10);

    internal static void AddPeople(this IServiceCollection services, Instance instance)
    {
        services.AddScoped<Caller>();
        services.AddSingleton<FirstCoordinator>();

        // Kept with the data: else each restart of the server would sign everybody out.
        services.AddDataProtection().SetApplicationName("upper-still").PersistKeysToFileSystem(new DirectoryInfo(Path.Combine(instance.DataFolder, Instance.Keys)));
        services.AddAuthentication(IdentityConstants.ApplicationScheme).AddIdentityCookies();
        services.ConfigureApplicationCookie(cookie =>
        {
            cookie.Cookie.Name = "upper-still";
            cookie.Cookie.HttpOnly = true;
            cookie.Cookie.SameSite = SameSiteMode.Strict;
            cookie.ExpireTimeSpan = FieldSeason;
            cookie.SlidingExpiration = true;

            // The demo's clock stands months away; a browser drops a cookie by the real one.
            cookie.TimeProvider = TimeProvider.System;
            cookie.Events.OnRedirectToLogin = context => Plain(context.Response, StatusCodes.Status401Unauthorized);
            cookie.Events.OnRedirectToAccessDenied = context => Plain(context.Response, StatusCodes.Status403Forbidden);
        });
        services.AddIdentityCore<Person>(identity =>
            {
                // Length protects; rules about signs make people write passwords down.
                identity.Password.RequiredLength = 10;
                identity.Password.RequireDigit = false;
                identity.Password.RequireLowercase = false;
                identity.Password.RequireUppercase = false;
                identity.Password.RequireNonAlphanumeric = false;
                identity.Lockout.MaxFailedAccessAttempts = 5;
                identity.Lockout.DefaultLockoutTimeSpan = LockedFor;
                identity.Lockout.AllowedForNewUsers = true;
            })
            .AddEntityFrameworkStores<FieldBook>().AddSignInManager().AddDefaultTokenProviders();
        services.Configure<SecurityStampValidatorOptions>(stamp => stamp.TimeProvider = TimeProvider.System);
        services.Configure<DataProtectionTokenProviderOptions>(options => options.TokenLifespan = LinkHolds);
        services.AddAntiforgery(form =>
        {
            form.HeaderName = Gate.TokenHeader;
            form.Cookie.Name = "upper-still-form";
            form.Cookie.SameSite = SameSiteMode.Strict;
            form.Cookie.SecurePolicy = CookieSecurePolicy.SameAsRequest;
        });
    }

    private static Task Plain(HttpResponse response, int status)
    {
        response.StatusCode = status;
        return Task.CompletedTask;
    }
}
