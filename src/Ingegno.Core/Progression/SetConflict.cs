namespace Ingegno.Core.Progression;

/// <summary>Two accounts of one set, until the coach has said which holds.</summary>
/// <param name="Arrived">What came in; not kept.</param>
/// <param name="Standing">What is kept; null where it was taken away since.</param>
/// <param name="By">Who sent it: "the phone", or the name of a coach.</param>
/// <param name="On">The client's day it came.</param>
/// <param name="StandingBy">Who wrote what stands; empty where that was not noted.</param>
public sealed record SetConflict(string Id, SetLog Arrived, SetLog? Standing, string By, DateOnly On, string StandingBy);
