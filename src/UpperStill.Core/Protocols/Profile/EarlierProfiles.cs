namespace UpperStill.Core.Protocols.Profile;
