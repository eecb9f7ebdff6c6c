Abbex ships the work of others. Each is used under the licence named beside it.

Fonts (in static/fonts and fonts, unchanged, with their licence texts beside them)
  IBM Plex Sans, SIL Open Font License 1.1
  Barlow Semi Condensed, SIL Open Font License 1.1

Icons: drawn for Abbex, no other source.

Libraries
<#list dependencyMap as e>
<#assign project = e.getKey()/>
<#assign licenses = e.getValue()/>
  ${project.name!project.artifactId} (${project.groupId}:${project.artifactId}:${project.version}): <#list licenses as license>${license}<#if license_has_next>; </#if></#list>
</#list>
